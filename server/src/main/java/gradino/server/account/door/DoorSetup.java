package gradino.server.account.door;

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
}
