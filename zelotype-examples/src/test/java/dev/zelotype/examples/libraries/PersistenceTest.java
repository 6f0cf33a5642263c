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
import jakarta.persistence.Entity;
import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityTransaction;
import jakarta.persistence.Id;
import jakarta.persistence.PersistenceException;
import jakarta.persistence.TypedQuery;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Persistence: an entry is saved in a transaction or not at all, and the pattern recognizes a query by its text.
 */
@WithDoubles
class PersistenceTest {

    /** An entry of the night log. */
    @Entity
    static class Line {
        @Id
        String text;

        protected Line() {}

        Line(String text) {
            this.text = text;
        }

        @Override
        public String toString() {
            return text;
        }
    }

    /** Saves entries, and finds them again. */
    static final class LogBook {
        private final EntityManager entities;

        LogBook(EntityManager entities) {
            this.entities = entities;
        }

        void keep(Line line) {
            EntityTransaction transaction = entities.getTransaction();
            transaction.begin();
            try {
                entities.persist(line);
                transaction.commit();
            } catch (PersistenceException e) {
                transaction.rollback();
                throw e;
            }
        }

        List<String> about(String target) {
            return entities.createQuery("select l.text from Line l where l.text like :target", String.class)
                    .setParameter("target", "%" + target + "%")
                    .getResultList();
        }
    }

    @StandIn(STUB)
    EntityManager entities;

    @StandIn(STUB)
    EntityTransaction transaction;

    @StandIn(STUB)
    TypedQuery<String> query;

    @UnderTest(others = STUB)
    LogBook book;

    @Test
    void a_line_is_kept_in_a_transaction() {
        suppose(entities::getTransaction).returns(transaction);
        Line line = new Line("slewed to Harrow-2");

        book.keep(line);

        inThisOrder(() -> {
            verify(transaction::begin).once();
            verify(() -> entities.persist(line)).once();
            verify(transaction::commit).once();
        });
    }

    @Test
    void a_line_that_cannot_be_kept_leaves_nothing_behind() {
        suppose(entities::getTransaction).returns(transaction);
        suppose(transaction::commit).fails(new PersistenceException("there is a line of that text"));

        assertThatThrownBy(() -> book.keep(new Line("slewed to Harrow-2"))).hasMessage("there is a line of that text");

        verify(transaction::rollback).once();
    }

    @Test
    void lines_are_found_by_their_target() {
        suppose((String text) -> entities.createQuery(text, String.class)).returns(query);
        suppose(() -> query.setParameter("target", "%Quill-9%")).returns(query);
        suppose(query::getResultList).returns(List.of("slewed to Quill-9"));

        assertThat(book.about("Quill-9")).containsExactly("slewed to Quill-9");
    }
}
