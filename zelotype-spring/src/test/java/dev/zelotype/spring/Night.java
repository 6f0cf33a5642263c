package dev.zelotype.spring;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.springframework.beans.factory.FactoryBean;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.scheduling.annotation.Async;
import org.springframework.scheduling.annotation.EnableAsync;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.EnableTransactionManagement;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;
import org.springframework.transaction.support.DefaultTransactionStatus;

/** The observatory, assembled by a container. */
final class Night {

    private Night() {}

    interface Weather {
        int humidity();
    }

    interface Dome {
        void open();

        void close();
    }

    interface Repository<T> {
        List<T> all();
    }

    record Target(String name) {}

    interface Gauge {
        int level();
    }

    /** Calls a collaborator in its constructor, as beans may do. */
    static class Watch {
        private final Weather weather;
        private final Dome dome;
        private final Repository<Target> targets;
        private final Gauge gauge;
        final int atStart;

        Watch(Weather weather, Dome dome, Repository<Target> targets, Gauge gauge) {
            this.weather = weather;
            this.dome = dome;
            this.targets = targets;
            this.gauge = gauge;
            atStart = weather.humidity();
            dome.close();
        }

        int run() {
            if (weather.humidity() > 80) {
                return -1;
            }
            dome.open();
            return targets.all().size() + gauge.level();
        }
    }

    /** Behind a proxy for transactions. */
    static class Log {
        private final List<String> entries = new ArrayList<>();

        @Transactional
        public void append(String entry) {
            entries.add(entry);
        }

        public int size() {
            return entries.size();
        }
    }

    /** Behind a proxy for asynchronous calls. */
    static class Camera {
        @Async
        public CompletableFuture<String> expose() {
            return CompletableFuture.completedFuture("a frame");
        }
    }

    static final class Transactions extends AbstractPlatformTransactionManager {
        private static final long serialVersionUID = 1L;

        int begun;

        @Override
        protected Object doGetTransaction() {
            return new Object();
        }

        @Override
        protected void doBegin(Object transaction, TransactionDefinition definition) {
            begun++;
        }

        @Override
        protected void doCommit(DefaultTransactionStatus status) {}

        @Override
        protected void doRollback(DefaultTransactionStatus status) {}
    }

    @Configuration
    @EnableAsync(proxyTargetClass = true)
    @EnableTransactionManagement(proxyTargetClass = true)
    static class Config {

        @Bean
        Weather weather() {
            return () -> 40;
        }

        @Bean
        Dome dome() {
            return new Dome() {
                @Override
                public void open() {}

                @Override
                public void close() {}
            };
        }

        @Bean
        Repository<Target> targets() {
            return () -> List.of(new Target("Harrow-2"), new Target("Quill-9"));
        }

        @Bean
        Repository<String> names() {
            return () -> List.of("Harrow-2");
        }

        @Bean
        @Primary
        Gauge north() {
            return () -> 100;
        }

        @Bean
        @Qualifier("south")
        Gauge south() {
            return () -> 200;
        }

        @Bean
        FactoryBean<Thread.UncaughtExceptionHandler> alarm() {
            return new FactoryBean<>() {
                @Override
                public Thread.UncaughtExceptionHandler getObject() {
                    return (thread, thrown) -> {};
                }

                @Override
                public Class<?> getObjectType() {
                    return Thread.UncaughtExceptionHandler.class;
                }
            };
        }

        @Bean
        Watch watch(Weather weather, Dome dome, Repository<Target> targets, Gauge gauge) {
            return new Watch(weather, dome, targets, gauge);
        }

        @Bean
        Log log() {
            return new Log();
        }

        @Bean
        Camera camera() {
            return new Camera();
        }

        @Bean
        PlatformTransactionManager transactions() {
            return new Transactions();
        }
    }
}
