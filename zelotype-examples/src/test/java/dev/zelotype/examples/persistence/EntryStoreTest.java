package dev.zelotype.examples.persistence;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.ClaimTests;
import dev.zelotype.junit.WithDoubles;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * A store on JDBC is checked against the suppositions of tests; keys that the database generates have their own
 * comparison.
 */
@WithDoubles
class EntryStoreTest {

    record Entry(long key, String text) {}

    interface EntryStore {
        Entry save(String text) throws SQLException;

        List<String> texts() throws SQLException;
    }

    static final class JdbcStore implements EntryStore {
        private final Connection connection;

        JdbcStore(String... entries) throws SQLException {
            connection = DriverManager.getConnection("jdbc:h2:mem:");
            try (Statement create = connection.createStatement()) {
                create.execute(
                        "create table entry (key_ bigint generated always as identity (start with 1000), text_ varchar)");
            }
            for (String entry : entries) {
                save(entry);
            }
        }

        @Override
        public Entry save(String text) throws SQLException {
            try (PreparedStatement insert = connection.prepareStatement(
                    "insert into entry (text_) values (?)", Statement.RETURN_GENERATED_KEYS)) {
                insert.setString(1, text.strip());
                insert.executeUpdate();
                try (ResultSet keys = insert.getGeneratedKeys()) {
                    keys.next();
                    return new Entry(keys.getLong(1), text.strip());
                }
            }
        }

        @Override
        public List<String> texts() throws SQLException {
            try (Statement select = connection.createStatement();
                    ResultSet found = select.executeQuery("select text_ from entry order by key_")) {
                List<String> texts = new ArrayList<>();
                while (found.next()) {
                    texts.add(found.getString(1));
                }
                return texts;
            }
        }
    }

    static void claims(EntryStore store) {
        suppose(store::save)
                .forExample("too humid", " too humid ")
                .comparedBy(Entry::text)
                .answers(text -> new Entry(1, text.strip()));
        suppose(store::texts).returns(List.of("dome open"));
    }

    @TestFactory
    Stream<DynamicTest> the_database_keeps_the_claims() {
        return ClaimTests.of(EntryStore.class, EntryStoreTest::claims).heldAgainst(() -> new JdbcStore("dome open"));
    }

    @Test
    void the_same_statements_set_up_a_stub() throws SQLException {
        EntryStore store = stub(EntryStore.class, EntryStoreTest::claims);

        assertThat(store.save(" late ")).isEqualTo(new Entry(1, "late"));
    }
}
