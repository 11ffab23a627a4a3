package gradino.server.account;

import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

@Configuration(proxyBeanMethods = false)
class DoorSetup implements WebMvcConfigurer {
    private final ClientDoor door;

    DoorSetup(ClientDoor door) {
        this.door = door;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(door).addPathPatterns("/api/**");
    }

    /** A client's id stands for itself; whether it exists is asked at the door. */
    @Configuration(proxyBeanMethods = false)
    static class Clients {
        @Bean
        Whose clients() {
            return new Whose() {
                @Override
                public String variable() {
                    return "clientId";
                }

                @Override
                public Optional<String> clientOf(String id) {
                    return Optional.of(id);
                }
            };
        }
    }
}
