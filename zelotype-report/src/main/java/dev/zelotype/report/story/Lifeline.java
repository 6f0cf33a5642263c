package dev.zelotype.report.story;

/**
 * For Zelotype's own tools: a participant of a conversation.
 *
 * @param name what the pictures call it
 * @param role what it is: {@code subject}, {@code caller}, or the kind of a double
 * @param type the simple name of its type; empty where the name is the type
 */
public record Lifeline(String name, String role, String type) {}
