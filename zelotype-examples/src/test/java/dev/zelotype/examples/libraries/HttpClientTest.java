package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.io.IOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/**
 * The HTTP client of the JDK, an abstract class. The subject builds the request itself, so the pattern recognizes it by
 * its address.
 */
@WithDoubles
class HttpClientTest {

    /** Asks a remote station for the humidity. */
    static final class FarStation {
        private final HttpClient client;

        FarStation(HttpClient client) {
            this.client = client;
        }

        OptionalInt humidity(String dome) throws InterruptedException {
            HttpRequest request = HttpRequest.newBuilder(URI.create("http://station.invalid/" + dome))
                    .build();
            try {
                HttpResponse<String> response = client.send(request, BodyHandlers.ofString());
                return response.statusCode() == 200
                        ? OptionalInt.of(Integer.parseInt(response.body()))
                        : OptionalInt.empty();
            } catch (IOException e) {
                return OptionalInt.empty();
            }
        }
    }

    @StandIn(STUB)
    HttpClient client;

    @StandIn(STUB)
    HttpResponse<String> response;

    @UnderTest
    FarStation station;

    @Test
    void the_answer_is_a_number() throws Exception {
        suppose(response::statusCode).returns(200);
        suppose(response::body).returns("85");
        suppose((HttpRequest request, BodyHandler<String> body) -> client.send(request, body))
                .where(
                        "asks for north",
                        (request, body) -> request.uri().getPath().equals("/north"))
                .returns(response);

        assertThat(station.humidity("north")).hasValue(85);
    }

    @Test
    void a_station_that_cannot_be_reached_says_nothing() throws Exception {
        suppose((HttpRequest request, BodyHandler<String> body) -> client.send(request, body))
                .fails(new ConnectException("refused"));

        assertThat(station.humidity("north")).isEmpty();
    }
}
