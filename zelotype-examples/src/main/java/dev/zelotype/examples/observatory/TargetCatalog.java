package dev.zelotype.examples.observatory;

import java.util.Optional;

/**
 * Finds targets by name.
 */
public interface TargetCatalog {

    Optional<SkyTarget> find(String name);
}
