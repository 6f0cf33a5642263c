package dev.zelotype.report.site;

import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: a report cannot be written. The message says where and what to do; an earlier report is
 * unchanged.
 */
public final class ReportException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    ReportException(String message, @Nullable Throwable cause) {
        super(message, cause);
    }
}
