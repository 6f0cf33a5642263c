/**
 * The types of libraries as collaborators: one small subject each, and one test to copy.
 */
package dev.zelotype.examples.libraries;
