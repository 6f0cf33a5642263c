package dev.zelotype.benchmarks;

import java.util.ArrayList;
import java.util.List;

/**
 * The double that a person would write: it answers, and keeps the same data about each call as Zelotype.
 */
final class WrittenMount implements Mount {

    private final List<Call> calls = new ArrayList<>();
    private int answer;

    static final class Call {
        final String method;
        final Object[] arguments;
        final Thread thread;
        final int number;
        Object answer;

        Call(String method, int number, Object... arguments) {
            this.method = method;
            this.number = number;
            this.arguments = arguments;
            this.thread = Thread.currentThread();
        }
    }

    void answer(int value) {
        answer = value;
    }

    void forget() {
        calls.clear();
    }

    @Override
    public int track(String target, int rate) {
        Call call = new Call("track", calls.size() + 1, target, rate);
        calls.add(call);
        call.answer = answer;
        return answer;
    }
}
