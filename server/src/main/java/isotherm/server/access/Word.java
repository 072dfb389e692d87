package isotherm.server.access;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Locale;

/** Words that open something: hard to guess, easy to read out. What is kept is their digest, from which they cannot be told. */
final class Word {
    /** Digits and letters that are not taken for one another. */
    private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    /** 32 letters to the power of 26 is 2 to the power of 130. */
    private static final int LENGTH = 26;

    private static final SecureRandom CHANCE = new SecureRandom();

    private Word() {}

    static String fresh() {
        StringBuilder word = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            word.append(LETTERS.charAt(CHANCE.nextInt(LETTERS.length())));
        }
        return word.toString();
    }

    /** @return what was typed, without what is only there to be read more easily */
    static String plain(String typed) {
        return typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
    }

    /** @return what is kept of a word, as it was typed */
    static String digest(String word) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest(plain(word).getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
