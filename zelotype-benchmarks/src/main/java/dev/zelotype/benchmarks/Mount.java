package dev.zelotype.benchmarks;

/**
 * The collaborator that is doubled in all benchmarks.
 */
public interface Mount {

    int track(String target, int rate);
}
