package dev.zelotype.benchmarks;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A recording double made with the JDK's own proxy.
 */
final class RecordingHandler implements InvocationHandler {

    private final List<Call> calls = new ArrayList<>();
    private final Map<Method, Object> answers = new HashMap<>();

    static final class Call {
        final Method method;
        final Object[] arguments;
        final Thread thread;
        final int number;
        Object answer;

        Call(Method method, int number, Object[] arguments) {
            this.method = method;
            this.number = number;
            this.arguments = arguments;
            this.thread = Thread.currentThread();
        }
    }

    Mount mount() {
        return (Mount) Proxy.newProxyInstance(Mount.class.getClassLoader(), new Class<?>[] {Mount.class}, this);
    }

    void answer(Method method, Object value) {
        answers.put(method, value);
    }

    void forget() {
        calls.clear();
    }

    @Override
    public Object invoke(Object self, Method method, Object[] arguments) {
        Call call = new Call(method, calls.size() + 1, arguments);
        calls.add(call);
        call.answer = answers.get(method);
        return call.answer;
    }
}
