/**
 * What doubles cost: benchmarks whose results are ratios measured in the same run.
 */
package dev.zelotype.benchmarks;
