package dev.observatory;

import dev.zelotype.junit.WithDoubles;
import org.springframework.test.context.junit.jupiter.SpringJUnitConfig;

@SpringJUnitConfig(EveningBeans.Beans.class)
@WithDoubles
class EveningBeansTest extends EveningBeans {}
