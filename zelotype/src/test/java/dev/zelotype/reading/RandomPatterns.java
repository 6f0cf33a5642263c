package dev.zelotype.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Generates random lambdas with parameters of all types, and knows the meaning of each.
 */
final class RandomPatterns {

    /** A type of parameters: its name, its box, and values as source and as objects. */
    private record Kind(String type, String box, String[] sources, Object[] values) {}

    private static final List<Kind> KINDS = List.of(
            kind("boolean", "Boolean", new String[] {"true", "false"}, true, false),
            kind("byte", "Byte", new String[] {"(byte) 3", "(byte) -7"}, (byte) 3, (byte) -7),
            kind("short", "Short", new String[] {"(short) 300", "(short) 4"}, (short) 300, (short) 4),
            kind("char", "Character", new String[] {"'x'", "'\\u2460'"}, 'x', '\u2460'),
            kind("int", "Integer", new String[] {"5", "70000", "-1"}, 5, 70_000, -1),
            kind("long", "Long", new String[] {"6L", "1L << 40"}, 6L, 1L << 40),
            kind("float", "Float", new String[] {"1.5f", "16777216f"}, 1.5f, 16_777_216f),
            kind("double", "Double", new String[] {"2.5", "0.1"}, 2.5, 0.1),
            kind("String", "String", new String[] {"\"north\"", "\"\"", "null"}, "north", "", null),
            kind("Object", "Object", new String[] {"\"o\"", "12"}, "o", 12),
            kind("Integer", "Integer", new String[] {"7", "null"}, 7, null),
            kind("Number", "Number", new String[] {"1.25", "8"}, 1.25, 8),
            kind("int[]", "int[]", new String[] {"new int[] {1, 2}", "new int[0]"}, new int[] {1, 2}, new int[0]));

    private final Random random;

    RandomPatterns(long seed) {
        this.random = new Random(seed);
    }

    private static Kind kind(String type, String box, String[] sources, Object... values) {
        return new Kind(type, box, sources, values);
    }

    /** The methods of the port: every parameter type at each of three positions. */
    static final List<String[]> METHODS = methods();

    private static List<String[]> methods() {
        List<String[]> methods = new ArrayList<>();
        for (int i = 0; i < KINDS.size(); i++) {
            String[] types = new String[3];
            for (int place = 0; place < 3; place++) {
                types[place] = KINDS.get((i + 5 * place) % KINDS.size()).type();
            }
            methods.add(types);
        }
        return methods;
    }

    static String port() {
        StringBuilder out = new StringBuilder("public interface Port {\n");
        for (int i = 0; i < METHODS.size(); i++) {
            String[] types = METHODS.get(i);
            out.append("    int m%d(%s a, %s b, %s c);\n".formatted(i, types[0], types[1], types[2]));
        }
        return out.append("}\n").toString();
    }

    /**
     * One made-up lambda.
     *
     * @param source the lambda's source
     * @param method the number of the method that it calls
     * @param computed the free parameter that an argument is computed from, or null
     * @param matching arguments that it covers
     * @param others arguments that it does not cover
     */
    record Pattern(String source, int method, String computed, Object[] matching, List<Object[]> others) {}

    private final List<String> parameters = new ArrayList<>();

    Pattern next() {
        parameters.clear();
        int method = random.nextInt(METHODS.size());
        String[] types = METHODS.get(method);
        String[] arguments = new String[3];
        Object[] matching = new Object[3];
        List<Object[]> others = new ArrayList<>();
        boolean[] pinned = new boolean[3];
        String computed = null;
        for (int i = 0; i < 3; i++) {
            Kind kind = kindOf(types[i]);
            int choice = random.nextInt(10);
            int value = random.nextInt(kind.values().length);
            matching[i] = kind.values()[value];
            if (choice < 4) {
                arguments[i] = free(kind, i, matching, others);
            } else if (choice == 4 && computed == null) {
                String source = computed(kind);
                if (source != null) {
                    computed = "p" + (parameters.size() - 1);
                }
                arguments[i] = source == null ? kind.sources()[value] : source;
                pinned[i] = true;
            } else {
                arguments[i] = known(kind, value, choice);
                pinned[i] = true;
            }
        }
        for (int i = 0; i < 3; i++) {
            if (pinned[i]) {
                others.add(changed(matching, i, kindOf(types[i])));
            }
        }
        // Another position may need the value, which may have been changed since.
        others.replaceAll(other -> merged(other, matching));
        String source =
                "(" + String.join(", ", parameters) + ") -> port.m" + method + "(" + String.join(", ", arguments) + ")";
        return new Pattern(source, method, computed, matching, others);
    }

    /** Marks the arguments of a call that are equal to those of the matching one. */
    private static final Object SAME = new Object();

    private static Object[] merged(Object[] other, Object[] matching) {
        Object[] merged = other.clone();
        for (int i = 0; i < merged.length; i++) {
            merged[i] = merged[i] == SAME ? matching[i] : merged[i];
        }
        return merged;
    }

    private static Object[] onlyAt(int place, Object value) {
        Object[] arguments = {SAME, SAME, SAME};
        arguments[place] = value;
        return arguments;
    }

    private static Object[] changed(Object[] matching, int place, Kind kind) {
        for (Object value : kind.values()) {
            boolean same = value == matching[place]
                    || value != null && !value.getClass().isArray() && value.equals(matching[place]);
            if (!same) {
                return onlyAt(place, value);
            }
        }
        throw new IllegalStateException("only one value of " + kind.type());
    }

    private String parameter(String type) {
        String name = "p" + parameters.size();
        parameters.add(type + " " + name);
        return name;
    }

    /** A free parameter, unchanged or boxed, unboxed, widened or cast. */
    private String free(Kind kind, int place, Object[] matching, List<Object[]> others) {
        switch (kind.type()) {
            case "long":
                if (random.nextBoolean()) {
                    matching[place] = 41L;
                    others.add(onlyAt(place, 1L << 40));
                    return (random.nextBoolean() ? "(long) " : "") + parameter("Integer");
                }
                break;
            case "double":
                if (random.nextBoolean()) {
                    matching[place] = 12.0;
                    others.add(onlyAt(place, 12.5));
                    return parameter(random.nextBoolean() ? "Long" : "Integer");
                }
                break;
            case "float":
                if (random.nextBoolean()) {
                    matching[place] = 9f;
                    others.add(onlyAt(place, 9.5f));
                    return parameter("Short");
                }
                break;
            case "int":
                if (random.nextBoolean()) {
                    matching[place] = (int) 'c';
                    others.add(onlyAt(place, -2));
                    return parameter("Character");
                }
                break;
            case "short":
                if (random.nextBoolean()) {
                    matching[place] = (short) -5;
                    others.add(onlyAt(place, (short) 1000));
                    return parameter("Byte");
                }
                break;
            case "Object":
                if (random.nextBoolean()) {
                    matching[place] = "text";
                    others.add(onlyAt(place, 3));
                    return (random.nextBoolean() ? "(Object) " : "") + parameter("String");
                }
                break;
            case "Number":
                if (random.nextBoolean()) {
                    matching[place] = 4L;
                    others.add(onlyAt(place, 4));
                    others.add(onlyAt(place, 1L << 50));
                    return "(Number) (long) " + parameter("Integer");
                }
                break;
            default:
        }
        return parameter(kind.box());
    }

    /** An argument that is computed from a free parameter; null for types without such an argument. */
    private String computed(Kind kind) {
        return switch (kind.type()) {
            case "boolean" -> {
                String p = parameter("Integer");
                yield random.nextBoolean() ? p + " > 0" : "\"a\".equals(String.valueOf(" + p + "))";
            }
            case "int" ->
                random.nextBoolean() ? "Math.abs(" + parameter("Integer") + ")" : parameter("String") + ".length()";
            case "long" -> parameter("Long") + " + 1";
            case "double" -> "-" + parameter("Double");
            case "byte" -> "(byte) (int) " + parameter("Integer");
            case "String" ->
                random.nextBoolean() ? parameter("String") + ".trim()" : "\"dome \" + " + parameter("Integer");
            case "Integer" -> parameter("Integer") + " == null ? 0 : 1";
            case "Object" -> "java.util.List.of(" + parameter("String") + ")";
            case "int[]" -> "new int[] {" + parameter("Integer") + " + 1}";
            default -> null;
        };
    }

    /** A value: a literal, a captured variable, or an expression of these. */
    private String known(Kind kind, int value, int choice) {
        String source = kind.sources()[value];
        return switch (choice) {
            case 5 -> "held(" + cast(kind) + source + ")";
            case 6 -> "new Box<" + kind.box() + ">(" + cast(kind) + source + ").value()";
            case 7 ->
                "java.util.Arrays.<" + kind.box() + ">asList(" + cast(kind) + source + ", " + cast(kind) + source
                        + ").get(1)";
            case 8 -> "yes ? " + cast(kind) + source + " : " + cast(kind) + kind.sources()[0];
            default -> source;
        };
    }

    private static String cast(Kind kind) {
        return "(" + kind.type() + ") ";
    }

    private static Kind kindOf(String type) {
        return KINDS.stream()
                .filter(kind -> kind.type().equals(type))
                .findFirst()
                .orElseThrow();
    }
}
