package dev.zelotype.examples.persistence;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.WithDoubles;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.hibernate.SessionFactory;
import org.hibernate.cfg.Configuration;
import org.junit.jupiter.api.Test;

/**
 * A spy on an object that a framework holds: a persistence framework calls its callback, and the test replaces a call
 * that the callback makes.
 */
@WithDoubles
class PersistenceCallbackTest {

    /** In a field, because the JDK discards the level of an unreferenced logger. */
    private static final Logger QUIET = Logger.getLogger("org.hibernate");

    @Test
    void the_callback_signs_the_line_before_it_is_saved() {
        QUIET.setLevel(Level.OFF);
        LogLine line = spy(new LogLine("rain at three"));
        suppose(line::sign).returns("observer 7");

        try (SessionFactory database = database()) {
            database.inTransaction(session -> session.persist(line));
            database.inSession(session -> assertThat(
                            session.find(LogLine.class, "rain at three").signature())
                    .isEqualTo("observer 7"));
        }

        verify(line::beforeSaving).once();
    }

    private static SessionFactory database() {
        return new Configuration()
                .addAnnotatedClass(LogLine.class)
                .setProperty("hibernate.connection.url", "jdbc:h2:mem:night")
                .setProperty("hibernate.hbm2ddl.auto", "create")
                .buildSessionFactory();
    }
}
