/**
 * Zelotype's core: test doubles, their answers, expectations, and checks of their calls.
 */
@SuppressWarnings("module") // The modules that it is exported to are compiled later.
module dev.zelotype {
    requires java.instrument;
    requires jdk.unsupported;
    requires static org.jspecify;
    requires static org.objectweb.asm;

    exports dev.zelotype;
    exports dev.zelotype.basics to
            dev.zelotype.challenge,
            dev.zelotype.journal;
    exports dev.zelotype.call;
    exports dev.zelotype.conversation;
    exports dev.zelotype.doubles;
    exports dev.zelotype.error;
    exports dev.zelotype.host;
    exports dev.zelotype.stage;

    uses dev.zelotype.doubles.EmptyValue;
    uses dev.zelotype.doubles.Unwrapper;

    // The JVM calls the agent's class there.
    opens dev.zelotype.engine.weave to
            java.instrument;
}
