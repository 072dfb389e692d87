package isotherm.server.api;

import isotherm.server.contract.DocumentReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;

/** Request bodies go through the document reader, so that every problem in them is found at once. */
class DocumentConverter extends AbstractHttpMessageConverter<Record> {
    private static final String OURS = "isotherm.server.";

    DocumentConverter() {
        super(MediaType.APPLICATION_JSON);
    }

    @Override
    protected boolean supports(Class<?> type) {
        return type.isRecord() && type.getName().startsWith(OURS);
    }

    /** Only what says that it is JSON is read as JSON; bodies of other kinds and of none are not. */
    @Override
    public boolean canRead(Class<?> type, MediaType mediaType) {
        return supports(type) && MediaType.APPLICATION_JSON.isCompatibleWith(mediaType) && mediaType.isConcrete();
    }

    @Override
    public boolean canWrite(Class<?> type, MediaType mediaType) {
        return false;
    }

    @Override
    protected Record readInternal(Class<? extends Record> type, HttpInputMessage input) throws IOException {
        String text = new String(input.getBody().readAllBytes(), StandardCharsets.UTF_8);
        return DocumentReader.read(text, type);
    }

    @Override
    protected void writeInternal(Record document, HttpOutputMessage output) {
        throw new UnsupportedOperationException("Documents are written by the JSON mapper");
    }
}
