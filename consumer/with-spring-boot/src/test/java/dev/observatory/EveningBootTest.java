package dev.observatory;

import dev.zelotype.junit.WithDoubles;
import org.springframework.boot.SpringBootConfiguration;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;

@SpringBootTest(classes = EveningBootTest.Application.class)
@WithDoubles
class EveningBootTest extends EveningBeans {

    @SpringBootConfiguration(proxyBeanMethods = false)
    @EnableAutoConfiguration
    @Import(Beans.class)
    static class Application {}
}
