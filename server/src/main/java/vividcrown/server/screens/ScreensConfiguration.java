package vividcrown.server.screens;

import java.io.IOException;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Files with a hash in their name may be kept for a year; the start page is asked for anew each time. */
@Configuration
class ScreensConfiguration implements WebMvcConfigurer {

    private static final String FILES = "classpath:/META-INF/resources/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**").addResourceLocations(FILES + "assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
        registry.addResourceHandler("/**").addResourceLocations(FILES).setCacheControl(CacheControl.noCache())
                .resourceChain(true).addResolver(new StartPage());
    }

    /** Addresses without a file ("/yards/…") are screens: the start page shows them. */
    private static final class StartPage extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            boolean isScreen = !path.startsWith("api/") && !path.startsWith("calendar/") && !path.contains(".");
            return file == null && isScreen ? new ClassPathResource("/META-INF/resources/index.html") : file;
        }
    }
}
