/**
 * An example of Zelotype at work: a small made-up observatory. All sites and targets are invented.
 */
package dev.zelotype.examples.observatory;
