package bricksignal.server;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.i18n.CookieLocaleResolver;

/** Every address of the web application is its one page; files with a hash in their name are kept for a year. */
@Configuration
public class WebPages implements WebMvcConfigurer {

    private static final String[] PAGES = {"/", "/login", "/jobs", "/jobs/**", "/visits/**", "/identify/**", "/boards", "/boards/**", "/packs", "/policy", "/tools", "/tools/**", "/me"};

    /** The addresses of the pages, which anybody may load: what is in them asks who it is. */
    public static String[] pages() {
        return PAGES.clone();
    }

    /** The language and the units that a person chose, kept by the page in a cookie so that files have them too; else those of the browser. */
    @Bean
    LocaleResolver localeResolver() {
        CookieLocaleResolver chosen = new CookieLocaleResolver("locale");
        chosen.setRejectInvalidCookies(false);
        chosen.setDefaultLocaleFunction(request -> request.getLocale());
        return chosen;
    }

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        for (String path : PAGES) {
            registry.addViewController(path).setViewName("forward:/index.html");
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**").addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePublic().immutable());
    }
}
