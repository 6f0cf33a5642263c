package dev.zelotype.examples.observatory;

import java.util.Optional;

/**
 * Knows targets by name.
 */
public interface TargetCatalog {

    Optional<SkyTarget> find(String name);
}
