package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import jakarta.jms.JMSContext;
import jakarta.jms.JMSException;
import jakarta.jms.JMSProducer;
import jakarta.jms.Message;
import jakarta.jms.MessageListener;
import jakarta.jms.Queue;
import org.junit.jupiter.api.Test;

/**
 * Messaging: the test passes a stub as the incoming message, and verifies the outgoing one.
 */
@WithDoubles
class MessagingTest {

    /** Closes the dome when a message announces rain, and confirms it. */
    static final class RainWatch implements MessageListener {
        private final Dome dome;
        private final JMSContext context;
        private final Queue done;

        RainWatch(Dome dome, JMSContext context, Queue done) {
            this.dome = dome;
            this.context = context;
            this.done = done;
        }

        @Override
        public void onMessage(Message message) {
            try {
                if (message.getBody(String.class).equals("rain")) {
                    dome.close();
                    context.createProducer().send(done, "closed");
                }
            } catch (JMSException e) {
                context.createProducer().send(done, "unreadable");
            }
        }
    }

    @StandIn(STUB)
    Dome dome;

    @StandIn(STUB)
    JMSContext context;

    @StandIn(STUB)
    JMSProducer producer;

    @StandIn(STUB)
    Queue done;

    @StandIn(STUB)
    Message message;

    @UnderTest
    RainWatch watch;

    @Test
    void rain_closes_the_dome() throws JMSException {
        suppose(() -> message.getBody(String.class)).returns("rain");
        suppose(context::createProducer).returns(producer);

        watch.onMessage(message);

        verify(dome::close).once();
        verify(() -> producer.send(done, "closed")).once();
    }

    @Test
    void what_cannot_be_read_is_said() throws JMSException {
        suppose(() -> message.getBody(String.class)).fails(new JMSException("damaged"));
        suppose(context::createProducer).returns(producer);

        watch.onMessage(message);

        verify(dome::close).never();
        verify(() -> producer.send(done, "unreadable")).once();
    }
}
