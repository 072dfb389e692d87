package isotherm.server.api;

import java.io.IOException;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.ResolvableType;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.converter.ByteArrayHttpMessageConverter;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.ResourceHttpMessageConverter;
import org.springframework.http.converter.StringHttpMessageConverter;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import tools.jackson.databind.json.JsonMapper;

/** The interface as static resources, with its own routes falling back to the one page. */
@Configuration(proxyBeanMethods = false)
class WebConfiguration implements WebMvcConfigurer {
    private static final int YEAR_SECONDS = 31_536_000;
    private static final List<Class<?>> ONE_WAY_IN = List.of(
            DocumentConverter.class,
            WriteOnlyJson.class,
            ByteArrayHttpMessageConverter.class,
            StringHttpMessageConverter.class,
            ResourceHttpMessageConverter.class);

    private final JsonMapper json;

    WebConfiguration(JsonMapper json) {
        this.json = json;
    }

    /** One way in: documents through the document reader, texts and files as they are. Nothing else is made of a body. */
    @Override
    public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
        builder.addCustomConverter(new DocumentConverter())
                .withJsonConverter(new WriteOnlyJson(json))
                .configureMessageConvertersList(
                        all -> all.removeIf(c -> ONE_WAY_IN.stream().noneMatch(known -> known.isInstance(c))));
    }

    private static final class WriteOnlyJson extends JacksonJsonHttpMessageConverter {
        WriteOnlyJson(JsonMapper json) {
            super(json);
        }

        @Override
        public boolean canRead(Class<?> type, MediaType mediaType) {
            return false;
        }

        @Override
        public boolean canRead(ResolvableType type, MediaType mediaType) {
            return false;
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // Names under /assets carry a hash of their content.
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(java.time.Duration.ofSeconds(YEAR_SECONDS)));
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PathResourceResolver() {
                    @Override
                    protected Resource getResource(String path, Resource location) throws IOException {
                        Resource found = super.getResource(path, location);
                        boolean page = !path.contains(".") && !path.startsWith("api/") && !path.startsWith("actuator");
                        return found != null || !page ? found : super.getResource("index.html", location);
                    }
                });
    }
}
