package dev.zelotype.examples.observatory;

/**
 * A picture that a camera took.
 *
 * @param number its number
 */
public record Frame(int number) {}
