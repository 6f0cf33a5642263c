package dev.zelotype.examples.generated;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.generate.DoubleFor;
import dev.zelotype.generate.Style;
import io.grpc.Status;
import io.grpc.health.v1.HealthCheckRequest;
import io.grpc.health.v1.HealthCheckResponse;
import io.grpc.health.v1.HealthCheckResponse.ServingStatus;
import io.grpc.health.v1.HealthGrpc.AsyncService;
import io.grpc.stub.StreamObserver;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Doubles of a service whose interface was generated from a definition in another language. */
@DoubleFor(
        value = AsyncService.class,
        style = {Style.STUB, Style.SPY})
class GeneratedServiceTest {

    /** The subject: whether a part of the observatory is ready for the night. */
    private record Readiness(AsyncService health) {

        boolean isReady(String part) {
            AtomicBoolean ready = new AtomicBoolean();
            health.check(
                    HealthCheckRequest.newBuilder().setService(part).build(),
                    new StreamObserver<HealthCheckResponse>() {
                        @Override
                        public void onNext(HealthCheckResponse answer) {
                            ready.set(answer.getStatus() == ServingStatus.SERVING);
                        }

                        @Override
                        public void onError(Throwable failure) {
                            ready.set(false);
                        }

                        @Override
                        public void onCompleted() {}
                    });
            return ready.get();
        }
    }

    @ParameterizedTest
    @CsvSource({"SERVING, true", "NOT_SERVING, false"})
    void a_part_is_ready_when_its_service_says_so(ServingStatus status, boolean ready) {
        HealthGrpcAsyncServiceSpy service = new HealthGrpcAsyncServiceSpy(new HealthGrpcAsyncServiceStub()
                .checkDoes((request, answer) -> answer.onNext(
                        HealthCheckResponse.newBuilder().setStatus(status).build())));

        assertThat(new Readiness(service).isReady("dome")).isEqualTo(ready);

        assertThat(service.checkCalls())
                .singleElement()
                .satisfies(call -> assertThat(call.request().getService()).isEqualTo("dome"));
    }

    @Test
    void a_service_that_fails_is_not_ready() {
        HealthGrpcAsyncServiceStub service = new HealthGrpcAsyncServiceStub()
                .checkDoes((request, answer) -> answer.onError(Status.UNAVAILABLE.asException()));

        assertThat(new Readiness(service).isReady("dome")).isFalse();
    }
}
