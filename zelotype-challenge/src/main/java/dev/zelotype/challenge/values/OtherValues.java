package dev.zelotype.challenge.values;

import static dev.zelotype.challenge.values.Alterations.ifPossible;

import java.io.File;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.net.URI;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Period;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Other numbers, texts, times, and other values of JDK types.
 */
final class OtherValues {

    static final int FAR = 1_000;
    private static final ChronoUnit[] UNITS = {ChronoUnit.DAYS, ChronoUnit.SECONDS, ChronoUnit.YEARS};

    private OtherValues() {}

    /** Replacements for a number, a boolean or a character. */
    static List<Object> ofPrimitive(Object value) {
        if (value instanceof Boolean flag) {
            return List.of(!flag);
        } else if (value instanceof Character c) {
            return List.of(c == 'x' ? 'y' : 'x');
        } else if (value instanceof Integer n) {
            return List.of(n + FAR, n == 0 ? -1 : -n);
        } else if (value instanceof Long n) {
            return List.of(n + FAR, n == 0 ? -1L : -n);
        } else if (value instanceof Double n) {
            return Double.isFinite(n) ? List.of(n + FAR + Math.abs(n), n == 0 ? -1.0 : -n) : List.of(1.0 * FAR, -1.0);
        } else if (value instanceof Float n) {
            return Float.isFinite(n) ? List.of(n + FAR + Math.abs(n), n == 0 ? -1f : -n) : List.of(1f * FAR, -1f);
        } else if (value instanceof Short n) {
            return List.of((short) (n + FAR), (short) (n == 0 ? -1 : -n));
        } else if (value instanceof Byte n) {
            return List.of((byte) (n ^ 0x55));
        } else if (value instanceof BigDecimal n) {
            return List.of(n.add(n.abs()).add(BigDecimal.valueOf(FAR)), n.signum() == 0 ? BigDecimal.ONE : n.negate());
        }
        return value instanceof BigInteger n
                ? List.of(n.add(n.abs()).add(BigInteger.valueOf(FAR)), n.signum() == 0 ? BigInteger.ONE : n.negate())
                : List.of();
    }

    /** The neighboring values. */
    static List<Object> near(Number number) {
        if (number instanceof Integer n) {
            return List.of(n + 1, n - 1);
        } else if (number instanceof Long n) {
            return List.of(n + 1, n - 1);
        }
        return number instanceof Double n && Double.isFinite(n) ? List.of(Math.nextUp(n), Math.nextDown(n)) : List.of();
    }

    /** Replacements for a value of a JDK class; empty if the class is unknown. */
    static List<Object> of(Object value) {
        List<Object> others = new ArrayList<>();
        if (value instanceof Temporal time) {
            times(others, time);
        } else if (value instanceof Duration duration) {
            Alterations.add(
                    others, ifPossible(() -> duration.plus(duration.abs()).plusHours(1)));
            others.add(Duration.ZERO);
        } else if (value instanceof Date date) {
            Date later = (Date) date.clone();
            later.setTime(date.getTime() + Duration.ofDays(FAR).toMillis());
            others.add(later);
        } else if (value instanceof Enum<?> constant) {
            enums(others, constant);
        } else {
            Alterations.add(others, plain(value));
        }
        return others;
    }

    private static @Nullable Object plain(Object value) {
        if (value instanceof String text) {
            return "other than " + text;
        } else if (value instanceof StringBuilder text) {
            return new StringBuilder("other than ").append(text);
        } else if (value instanceof UUID id) {
            return new UUID(~id.getMostSignificantBits(), ~id.getLeastSignificantBits());
        } else if (value instanceof Path path) {
            return ifPossible(() -> path.resolveSibling("other-than-" + path.getFileName()));
        } else if (value instanceof File file) {
            return new File(file.getParentFile(), "other-than-" + file.getName());
        } else if (value instanceof URI uri) {
            return ifPossible(() -> URI.create("other:" + uri));
        } else if (value instanceof Locale locale) {
            return locale.equals(Locale.FRANCE) ? Locale.JAPAN : Locale.FRANCE;
        } else if (value instanceof Currency currency) {
            return Currency.getInstance(currency.getCurrencyCode().equals("CHF") ? "SEK" : "CHF");
        } else if (value instanceof Charset set) {
            return set.equals(StandardCharsets.UTF_16) ? StandardCharsets.UTF_8 : StandardCharsets.UTF_16;
        } else if (value instanceof ZoneId zone) {
            return zone.equals(ZoneOffset.ofHours(-11)) ? ZoneOffset.UTC : ZoneOffset.ofHours(-11);
        } else if (value instanceof Period period) {
            return ifPossible(() -> period.plusDays(FAR));
        } else if (value instanceof OptionalInt optional) {
            return optional.isPresent() ? OptionalInt.empty() : OptionalInt.of(FAR);
        } else if (value instanceof OptionalLong optional) {
            return optional.isPresent() ? OptionalLong.empty() : OptionalLong.of(FAR);
        } else if (value instanceof OptionalDouble optional) {
            return optional.isPresent() ? OptionalDouble.empty() : OptionalDouble.of(FAR);
        } else if (value instanceof Pattern pattern) {
            return Pattern.compile("other than " + Pattern.quote(pattern.pattern()));
        } else if (value instanceof Class<?> type) {
            return type == Void.class ? Object.class : Void.class;
        }
        return value instanceof Throwable thrown ? OtherObjects.ofThrowable(thrown) : null;
    }

    private static void times(List<Object> others, Temporal time) {
        for (long far : new long[] {FAR, -FAR}) {
            for (ChronoUnit unit : UNITS) {
                if (time.isSupported(unit)) {
                    Alterations.add(others, ifPossible(() -> time.plus(far, unit)));
                    break;
                }
            }
        }
    }

    private static void enums(List<Object> others, Enum<?> constant) {
        for (Object each : constant.getDeclaringClass().getEnumConstants()) {
            if (each != constant) {
                others.add(each);
            }
        }
    }
}
