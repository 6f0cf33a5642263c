package dev.zelotype.examples.persistence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.PrePersist;

/** A line of the night log in a database; completes itself before it is saved. */
@Entity
class LogLine {

    @Id
    private String text;

    private String signature;

    LogLine() {}

    LogLine(String text) {
        this.text = text;
    }

    @PrePersist
    void beforeSaving() {
        signature = sign();
    }

    /** Reads the observer's key, which tests do not have. */
    String sign() {
        throw new IllegalStateException("no key in the lock");
    }

    String signature() {
        return signature;
    }
}
