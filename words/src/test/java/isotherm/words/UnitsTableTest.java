package isotherm.words;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.message.Measure;
import isotherm.core.message.Unit;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The interface's table of units is made of the one in core; {@code ISOTHERM_UPDATE=1 ./isotherm test} writes it anew. */
class UnitsTableTest {
    private static final Path TABLE = Path.of("..", "web", "src", "units", "table.json");

    private static String camel(Measure m) {
        StringBuilder name = new StringBuilder();
        for (String word : m.name().toLowerCase(Locale.ROOT).split("_")) {
            name.append(name.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return name.toString();
    }

    /** Against the metric unit, since documents are written in it. */
    private static Map<String, Object> row(Measure m, Unit u) {
        double factor = u.factor() / m.metric().factor();
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("symbol", u.symbol());
        row.put("factor", rounded(factor));
        row.put("offset", rounded(u.offset() - m.metric().offset() * factor));
        row.put("digits", u.digits());
        row.put("aliases", u.aliases());
        return row;
    }

    private static BigDecimal rounded(double x) {
        double clean = Math.round(x * 1e9) == Math.round(x) * 1e9 ? Math.round(x) : x;
        return new BigDecimal(clean).round(new MathContext(12)).stripTrailingZeros();
    }

    @Test
    void theInterfacesTableIsThatOfCore() throws IOException {
        Map<String, List<Map<String, Object>>> table = new LinkedHashMap<>();
        for (Measure m : Measure.values()) {
            List<Map<String, Object>> rows = new ArrayList<>();
            rows.add(row(m, m.metric()));
            rows.add(row(m, m.imperial()));
            table.put(camel(m), rows);
        }
        String written = JsonMapper.builder()
                        .enable(SerializationFeature.INDENT_OUTPUT)
                        .build()
                        .writeValueAsString(table)
                + "\n";
        if (System.getenv("ISOTHERM_UPDATE") != null) {
            Files.writeString(TABLE, written);
        }
        assertThat(new JsonMapper().readTree(Files.readString(TABLE)))
                .as(TABLE + " (ISOTHERM_UPDATE=1 ./isotherm test writes it anew)")
                .isEqualTo(new JsonMapper().readTree(written));
    }
}
