package dev.zelotype.spring;

import dev.zelotype.doubles.Unwrapper;
import org.springframework.aop.framework.Advised;
import org.springframework.aop.support.AopUtils;

/**
 * Lets statements name the proxy that Spring puts in front of a bean, for example for transactions.
 *
 * @since 0.2
 */
public final class ProxyUnwrapper implements Unwrapper {

    /** Called by the service loader. */
    public ProxyUnwrapper() {}

    @Override
    public Object unwrap(Object object) {
        if (!AopUtils.isAopProxy(object)
                || !(object instanceof Advised advised)
                || !advised.getTargetSource().isStatic()) {
            return object;
        }
        try {
            Object target = advised.getTargetSource().getTarget();
            return target == null ? object : target;
        } catch (Exception e) {
            throw new IllegalStateException("The bean behind " + object + " cannot be reached.", e);
        }
    }
}
