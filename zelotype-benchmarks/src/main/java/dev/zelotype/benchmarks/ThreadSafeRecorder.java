package dev.zelotype.benchmarks;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Recording doubles that several threads may call, as they may call those of Zelotype. They keep the same data about
 * each call: its method, arguments, thread, position and answer.
 */
final class ThreadSafeRecorder {

    /** The answers of the proxy's methods; a hand-written double needs no table. */
    private final Map<Object, Object> answers = new ConcurrentHashMap<>();

    private volatile int rate;
    private final AtomicInteger positions = new AtomicInteger();
    private volatile Queue<Call> calls = new ConcurrentLinkedQueue<>();

    static final class Call {
        final Object method;
        final Object[] arguments;
        final Thread thread = Thread.currentThread();
        final int position;
        volatile Object answer;

        Call(Object method, int position, Object[] arguments) {
            this.method = method;
            this.position = position;
            this.arguments = arguments;
        }
    }

    void answer(Method method, Object value) {
        answers.put(method, value);
    }

    void answer(int value) {
        rate = value;
    }

    void forget() {
        calls = new ConcurrentLinkedQueue<>();
    }

    private Call begin(Object method, Object... arguments) {
        Call call = new Call(method, positions.incrementAndGet(), arguments);
        calls.add(call);
        return call;
    }

    Mount written() {
        return (target, wanted) -> {
            Call call = begin("track", target, wanted);
            int answered = rate;
            call.answer = answered;
            return answered;
        };
    }

    Mount proxy() {
        InvocationHandler handler = (Object self, Method method, Object[] arguments) -> {
            Call call = begin(method, arguments);
            call.answer = answers.get(method);
            return call.answer;
        };
        return (Mount) Proxy.newProxyInstance(Mount.class.getClassLoader(), new Class<?>[] {Mount.class}, handler);
    }
}
