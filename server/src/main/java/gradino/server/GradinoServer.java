package gradino.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Gradino: {@code --gradino.data=DIR}, {@code --gradino.demo=true}, {@code --server.port=N}. */
@SpringBootApplication(proxyBeanMethods = false)
public class GradinoServer {
    public static void main(String[] args) {
        SpringApplication.run(GradinoServer.class, args);
    }
}
