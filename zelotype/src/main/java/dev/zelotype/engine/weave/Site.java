package dev.zelotype.engine.weave;

/**
 * A static method or constructor whose calls are woven where they stand: those of the JDK, whose own code stays as it is,
 * and all constructors.
 *
 * @param owner the internal name of the class
 * @param name the method's name, or {@code <init>}
 * @param descriptor the method's descriptor
 */
record Site(String owner, String name, String descriptor) {

    boolean isConstructor() {
        return name.equals("<init>");
    }
}
