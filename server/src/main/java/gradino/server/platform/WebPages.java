package gradino.server.platform;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Serves the built pages: hashed assets for a year, the one page for every deep link outside the API. */
@Configuration(proxyBeanMethods = false)
class WebPages implements WebMvcConfigurer {
    private static final Duration YEAR = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(YEAR).immutable());
        registry.addResourceHandler(
                        "/index.html", "/home.html", "/report.html", "/favicon.svg", "/sw.js", "/home.webmanifest")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache());
        registry.addResourceHandler("/schema/**")
                .addResourceLocations("classpath:/schema/")
                .setCacheControl(CacheControl.noCache());
        registry.addResourceHandler("/icons/**")
                .addResourceLocations("classpath:/static/icons/")
                .setCacheControl(CacheControl.noCache());
    }

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        for (var deepLink : new String[] {
            "/",
            "/clients/**",
            "/runs/**",
            "/studio/**",
            "/lines/**",
            "/noise/**",
            "/library/**",
            "/decisions",
            "/month/**",
            "/rules/**"
        }) {
            registry.addViewController(deepLink).setViewName("forward:/index.html");
        }
        registry.addViewController("/report").setViewName("forward:/report.html");
        registry.addViewController("/home/**").setViewName("forward:/home.html");
    }
}
