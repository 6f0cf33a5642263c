package dev.zelotype.engine.decide;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Demands that must be met in order, across any number of doubles.
 */
public final class DemandOrder {

    private final List<Demand> demands = new ArrayList<>();

    void add(Demand demand) {
        demands.add(demand);
    }

    public int size() {
        return demands.size();
    }

    List<Demand> demands() {
        return demands;
    }

    /**
     * What must happen before a call of a demand, or the later demand that has been met partly; null if the call is
     * allowed.
     */
    @Nullable
    Demand blocking(Demand coming) {
        int place = demands.indexOf(coming);
        for (int i = 0; i < demands.size(); i++) {
            Demand other = demands.get(i);
            if (i < place && other.wantsMore() || i > place && other.started()) {
                return other;
            }
        }
        return null;
    }
}
