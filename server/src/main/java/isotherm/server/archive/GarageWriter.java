package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.CarContents;
import isotherm.server.archive.FileDocuments.GarageContents;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The whole garage as a zip archive. The same garage gives the same bytes. */
@Service
public class GarageWriter {
    /** An archive says nothing of when it was made, so that two of them can be compared. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private final GarageItems items;
    private final JsonMapper json;
    private final TransactionTemplate snapshot;

    GarageWriter(GarageItems items, JsonMapper json, PlatformTransactionManager transactions) {
        this.items = items;
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
        this.snapshot = new TransactionTemplate(transactions);
        // All of it as it was at one moment, whatever is changed meanwhile.
        snapshot.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
        snapshot.setReadOnly(true);
    }

    /**
     * @param out receives the archive; stays open
     * @throws IOException when it does not take it
     */
    public void write(OutputStream out) throws IOException {
        try {
            snapshot.executeWithoutResult(status -> {
                try {
                    ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
                    GarageContents contents = items.contents();
                    put(zip, List.of(Item.text(Names.CONTENTS, json.writeValueAsString(contents) + "\n")));
                    for (CarContents car : contents.cars()) {
                        put(zip, items.items(car));
                    }
                    put(zip, items.parts());
                    zip.finish();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static void put(ZipOutputStream zip, List<Item> files) throws IOException {
        for (Item file : files) {
            ZipEntry entry = new ZipEntry(file.name());
            entry.setTimeLocal(NO_TIME);
            zip.putNextEntry(entry);
            file.content().writeTo(zip);
            zip.closeEntry();
        }
    }
}
