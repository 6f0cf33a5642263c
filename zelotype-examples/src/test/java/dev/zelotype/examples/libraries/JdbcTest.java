package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * JDBC: rows are answers in sequence, and everything that is opened must be closed, even after a failure.
 */
@WithDoubles
class JdbcTest {

    /** Reads earlier values of the humidity. */
    static final class HumidityHistory {
        private final DataSource source;

        HumidityHistory(DataSource source) {
            this.source = source;
        }

        List<Integer> above(int limit) throws SQLException {
            try (Connection connection = source.getConnection();
                    PreparedStatement select =
                            connection.prepareStatement("select value_ from humidity where value_ > ?")) {
                select.setInt(1, limit);
                try (ResultSet rows = select.executeQuery()) {
                    List<Integer> found = new ArrayList<>();
                    while (rows.next()) {
                        found.add(rows.getInt("value_"));
                    }
                    return found;
                }
            }
        }
    }

    @StandIn(STUB)
    DataSource source;

    @StandIn(STUB)
    Connection connection;

    @StandIn(STUB)
    PreparedStatement select;

    @StandIn(STUB)
    ResultSet rows;

    @UnderTest(others = STUB)
    HumidityHistory history;

    @BeforeEach
    void a_database() throws SQLException {
        suppose(() -> source.getConnection()).returns(connection);
        suppose((String sql) -> connection.prepareStatement(sql)).returns(select);
        suppose(() -> select.executeQuery()).returns(rows);
    }

    @Test
    void each_row_is_read_and_everything_is_closed() throws SQLException {
        suppose(rows::next).returns(true, true, false);
        suppose(() -> rows.getInt("value_")).returns(85, 92);

        assertThat(history.above(80)).containsExactly(85, 92);

        verify(() -> select.setInt(1, 80)).once();
        inThisOrder(() -> {
            verify(rows::close).once();
            verify(select::close).once();
            verify(connection::close).once();
        });
    }

    @Test
    void a_row_that_cannot_be_read_leaves_nothing_open() throws SQLException {
        suppose(rows::next).fails(new SQLException("connection lost"));

        assertThatThrownBy(() -> history.above(80))
                .isInstanceOf(SQLException.class)
                .hasMessage("connection lost");

        verify(connection::close).once();
    }
}
