package dev.zelotype.engine.weave;

import java.lang.reflect.Executable;

/**
 * A method or constructor that asks before it runs.
 *
 * @param id the number by which woven code calls it
 * @param owner the class that declares it
 * @param executable the method or constructor itself
 * @param name its name in the class file
 * @param descriptor its descriptor in the class file
 */
public record WovenMethod(int id, Class<?> owner, Executable executable, String name, String descriptor) {}
