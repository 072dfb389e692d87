package isotherm.core.message;

import java.util.List;

/** What somebody wrote in words of their own, or what was written before it had a message. */
public enum Said implements MessageTopic {
    /** Words as they were written. */
    AS_WRITTEN;

    /**
     * @param words words as they were written
     * @return a message that says just them
     */
    public static Message words(String words) {
        return AS_WRITTEN.say("text").name("words", words);
    }

    @Override
    public String chapter() {
        return "said";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
