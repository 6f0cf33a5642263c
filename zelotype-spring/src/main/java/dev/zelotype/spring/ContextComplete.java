package dev.zelotype.spring;

import org.springframework.context.ApplicationContext;
import org.springframework.test.context.TestContext;
import org.springframework.test.context.bean.override.BeanOverrideTestExecutionListener;
import org.springframework.test.context.support.AbstractTestExecutionListener;

/**
 * Notifies the doubles of a context when it is complete. Spring finds it through {@code META-INF/spring.factories}.
 *
 * @since 0.2
 */
public final class ContextComplete extends AbstractTestExecutionListener {

    /** Called by Spring. */
    public ContextComplete() {}

    /** After the fields have been filled. */
    @Override
    public int getOrder() {
        return BeanOverrideTestExecutionListener.ORDER + 1;
    }

    @Override
    public void prepareTestInstance(TestContext test) {
        endSetUp(test);
    }

    @Override
    public void beforeTestMethod(TestContext test) {
        endSetUp(test);
    }

    private static void endSetUp(TestContext test) {
        if (!test.hasApplicationContext()) {
            return;
        }
        for (ApplicationContext each = test.getApplicationContext(); each != null; each = each.getParent()) {
            ContextDoubles doubles = ContextDoubles.of(each);
            if (doubles != null) {
                doubles.endSetUp();
            }
        }
    }
}
