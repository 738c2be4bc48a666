package bricksignal.server;

import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application on a free port and a real PostgreSQL, started once for all test classes that ask for it. */
public final class RunningServer implements ParameterResolver {

    /** One running instance. */
    public record Instance(ConfigurableApplicationContext context, Cluster cluster, int port) implements AutoCloseable {

        // Spring sets up the log of the whole machine for each instance, with that instance's settings, and two that start together take
        // each other's; the tests' log is set up once, by logback-test.xml
        static {
            System.setProperty(LoggingSystem.SYSTEM_PROPERTY, LoggingSystem.NONE);
        }

        /** Starts an instance on a cluster. */
        public static Instance on(Cluster cluster) {
            return on(cluster, "true");
        }

        /** Starts an instance of a company in which nobody has done anything yet. */
        public static Instance empty(Cluster cluster) {
            return on(cluster, "people");
        }

        private static Instance on(Cluster cluster, String demo) {
            SpringApplication application = new SpringApplication(BrickSignal.class);
            ConfigurableApplicationContext context = application.run("--server.port=0",
                    "--spring.datasource.url=" + cluster.url(), "--spring.datasource.password=" + cluster.password(),
                    "--spring.main.banner-mode=off", "--brick.demo=" + demo);
            return new Instance(context, cluster, context.getEnvironment().getRequiredProperty("local.server.port",
                    Integer.class));
        }

        public String url() {
            return "http://127.0.0.1:" + port;
        }

        /** A client that is logged in. */
        public Client logIn(String login) {
            return new Client(url()).logIn(login);
        }

        @Override
        public void close() {
            context.close();
        }
    }

    /** Closes server and cluster when all tests are done. */
    private record Shared(Instance instance) implements AutoCloseable {
        @Override
        public void close() {
            instance.close();
            instance.cluster().close();
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType().equals(Instance.class);
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return context.getRoot().getStore(ExtensionContext.Namespace.GLOBAL).getOrComputeIfAbsent("server",
                key -> new Shared(Instance.on(Cluster.create())), Shared.class).instance();
    }
}
