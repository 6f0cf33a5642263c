package dev.zelotype.engine.pattern;

import dev.zelotype.call.Act0;
import dev.zelotype.call.Act1;
import dev.zelotype.call.Act2;
import dev.zelotype.call.Act3;
import dev.zelotype.call.Act4;
import dev.zelotype.call.Act5;
import dev.zelotype.call.Act6;
import dev.zelotype.call.Args2;
import dev.zelotype.call.Args3;
import dev.zelotype.call.Args4;
import dev.zelotype.call.Args5;
import dev.zelotype.call.Args6;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.call.Query2;
import dev.zelotype.call.Query3;
import dev.zelotype.call.Query4;
import dev.zelotype.call.Query5;
import dev.zelotype.call.Query6;
import dev.zelotype.call.Where1;
import dev.zelotype.call.Where2;
import dev.zelotype.call.Where3;
import dev.zelotype.call.Where4;
import dev.zelotype.call.Where5;
import dev.zelotype.call.Where6;
import java.io.Serializable;

/**
 * The one place that knows all arities of the call shapes.
 */
@SuppressWarnings({"unchecked", "rawtypes"})
public final class Shapes {

    private Shapes() {}

    /** Runs a query or an act with as many arguments as it takes. */
    public static Object run(Serializable shape, Object[] a) throws Throwable {
        if (shape instanceof Query0 q) {
            return q.ask();
        } else if (shape instanceof Query1 q) {
            return q.ask(a[0]);
        } else if (shape instanceof Query2 q) {
            return q.ask(a[0], a[1]);
        } else if (shape instanceof Query3 q) {
            return q.ask(a[0], a[1], a[2]);
        } else if (shape instanceof Query4 q) {
            return q.ask(a[0], a[1], a[2], a[3]);
        } else if (shape instanceof Query5 q) {
            return q.ask(a[0], a[1], a[2], a[3], a[4]);
        } else if (shape instanceof Query6 q) {
            return q.ask(a[0], a[1], a[2], a[3], a[4], a[5]);
        } else if (shape instanceof Act0 act) {
            act.act();
        } else if (shape instanceof Act1 act) {
            act.act(a[0]);
        } else if (shape instanceof Act2 act) {
            act.act(a[0], a[1]);
        } else if (shape instanceof Act3 act) {
            act.act(a[0], a[1], a[2]);
        } else if (shape instanceof Act4 act) {
            act.act(a[0], a[1], a[2], a[3]);
        } else if (shape instanceof Act5 act) {
            act.act(a[0], a[1], a[2], a[3], a[4]);
        } else {
            ((Act6) shape).act(a[0], a[1], a[2], a[3], a[4], a[5]);
        }
        return null;
    }

    /** Asks a condition. */
    public static boolean holds(Serializable condition, Object[] a) {
        if (condition instanceof Where1 w) {
            return w.holds(a[0]);
        } else if (condition instanceof Where2 w) {
            return w.holds(a[0], a[1]);
        } else if (condition instanceof Where3 w) {
            return w.holds(a[0], a[1], a[2]);
        } else if (condition instanceof Where4 w) {
            return w.holds(a[0], a[1], a[2], a[3]);
        } else if (condition instanceof Where5 w) {
            return w.holds(a[0], a[1], a[2], a[3], a[4]);
        }
        return ((Where6) condition).holds(a[0], a[1], a[2], a[3], a[4], a[5]);
    }

    /** The arguments as one typed value: the argument itself if it is alone. */
    public static Object tuple(Object[] a) {
        return switch (a.length) {
            case 1 -> a[0];
            case 2 -> new Args2<>(a[0], a[1]);
            case 3 -> new Args3<>(a[0], a[1], a[2]);
            case 4 -> new Args4<>(a[0], a[1], a[2], a[3]);
            case 5 -> new Args5<>(a[0], a[1], a[2], a[3], a[4]);
            default -> new Args6<>(a[0], a[1], a[2], a[3], a[4], a[5]);
        };
    }
}
