package gradino.server;

import gradino.server.platform.StartCheck;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Gradino: {@code --gradino.data=DIR}, {@code --gradino.demo=true}, {@code --server.port=N}. */
@SpringBootApplication(proxyBeanMethods = false)
public class GradinoServer {
    public static void main(String[] args) {
        var application = new SpringApplication(GradinoServer.class);
        application.addListeners(new StartCheck());
        application.run(args);
    }
}
