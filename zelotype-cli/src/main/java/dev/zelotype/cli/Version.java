package dev.zelotype.cli;

import java.io.IOException;
import java.io.InputStream;
import java.util.Properties;
import picocli.CommandLine.IVersionProvider;

/**
 * The version set by Maven.
 */
final class Version implements IVersionProvider {

    Version() {}

    @Override
    public String[] getVersion() throws IOException {
        Properties built = new Properties();
        try (InputStream in = Version.class.getResourceAsStream("version.properties")) {
            built.load(in);
        }
        return new String[] {"zelotype " + built.getProperty("version")};
    }
}
