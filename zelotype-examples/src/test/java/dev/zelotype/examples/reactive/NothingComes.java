package dev.zelotype.examples.reactive;

import dev.zelotype.doubles.EmptyValue;
import org.jspecify.annotations.Nullable;
import reactor.core.publisher.Flux;
import reactor.core.publisher.Mono;

/** The empty values of publishers: they complete immediately without an element. */
public final class NothingComes implements EmptyValue {

    @Override
    public @Nullable Object of(Class<?> type) {
        return type == Mono.class ? Mono.empty() : type == Flux.class ? Flux.empty() : null;
    }
}
