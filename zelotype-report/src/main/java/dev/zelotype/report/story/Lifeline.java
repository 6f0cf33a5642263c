package dev.zelotype.report.story;

/**
 * For Zelotype's own tools: a participant of a conversation.
 *
 * @param name its name in pictures
 * @param role its role: {@code subject}, {@code caller}, or the kind of a double
 * @param type the simple name of its type; empty if the name is the type
 */
public record Lifeline(String name, String role, String type) {}
