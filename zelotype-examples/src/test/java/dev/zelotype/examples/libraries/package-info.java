/**
 * Types of libraries as collaborators: for each library a small subject, and a test to copy.
 */
package dev.zelotype.examples.libraries;
