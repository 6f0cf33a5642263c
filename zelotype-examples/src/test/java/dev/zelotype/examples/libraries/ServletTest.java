package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import org.junit.jupiter.api.Test;

/**
 * Servlets: the request is a stub, and the response returns a writer whose text the test checks.
 */
@WithDoubles
class ServletTest {

    /** Opens the dome for authorized users. */
    static final class DomeServlet extends HttpServlet {
        private static final long serialVersionUID = 1L;
        private final transient Dome dome;

        DomeServlet(Dome dome) {
            this.dome = dome;
        }

        @Override
        protected void doPost(HttpServletRequest request, HttpServletResponse response) throws IOException {
            if (!request.isUserInRole("observer")) {
                response.sendError(HttpServletResponse.SC_FORBIDDEN);
                return;
            }
            dome.open();
            response.getWriter().print("open for " + request.getParameter("target"));
        }
    }

    @StandIn(STUB)
    HttpServletRequest request;

    @StandIn(STUB)
    HttpServletResponse response;

    @StandIn(STUB)
    Dome dome;

    @UnderTest
    DomeServlet servlet;

    @Test
    void an_observer_opens_the_dome() throws IOException {
        StringWriter page = new StringWriter();
        suppose(() -> request.isUserInRole("observer")).returns(true);
        suppose(() -> request.getParameter("target")).returns("Harrow-2");
        suppose(response::getWriter).returns(new PrintWriter(page));

        servlet.doPost(request, response);

        assertThat(page).hasToString("open for Harrow-2");
        verify(dome::open).once();
    }

    @Test
    void nobody_else_does() throws IOException {
        servlet.doPost(request, response);

        verify(() -> response.sendError(HttpServletResponse.SC_FORBIDDEN)).once();
        verify(dome::open).never();
    }
}
