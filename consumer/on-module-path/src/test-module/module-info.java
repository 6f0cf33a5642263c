/** The tests, a module of their own that holds the packages of the main one as well. */
open module dev.observatory {
    requires transitive java.sql;
    requires dev.zelotype;
    requires dev.zelotype.junit;
    requires org.junit.jupiter.api;
}
