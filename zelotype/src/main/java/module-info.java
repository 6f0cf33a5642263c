/**
 * Zelotype's core: test doubles, what they answer, what is expected of them, and checks of what they were asked.
 */
module dev.zelotype {
    requires java.instrument;
    requires jdk.unsupported;
    requires static org.jspecify;
    requires static org.objectweb.asm;

    exports dev.zelotype;
    exports dev.zelotype.call;
    exports dev.zelotype.doubles;
    exports dev.zelotype.error;
    exports dev.zelotype.host;
    exports dev.zelotype.stage;

    uses dev.zelotype.doubles.EmptyValue;

    // The JVM calls the agent's class from there.
    opens dev.zelotype.engine.weave to
            java.instrument;
}
