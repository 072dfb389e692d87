package isotherm.server.api;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.store.Stored;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Versions as entity tags, and identities that are given by whoever creates something. */
final class Etags {
    private static final Pattern TAG = Pattern.compile("(?:W/)?\"(\\d{1,9})\"");

    /**
     * Header by which whoever creates something names it: what is sent again under the same name is created once (the draft "The
     * Idempotency-Key HTTP Header Field" of the IETF's HTTP working group).
     */
    static final String KEY = "Idempotency-Key";

    private Etags() {}

    static UUID identity(UUID key) {
        return key == null ? UUID.randomUUID() : key;
    }

    static String of(Stored stored) {
        return "\"" + stored.version() + "\"";
    }

    static int version(String ifMatch) {
        Matcher m = TAG.matcher(ifMatch.strip());
        if (!m.matches()) {
            throw new InvalidDocument(List.of(new Problem(
                    "If-Match", ifMatch, "A version in quotes such as \"3\" is expected here", null, null, "")));
        }
        return Integer.parseInt(m.group(1));
    }
}
