package isotherm.core.message;

import java.util.List;

/**
 * What messages are about. It is implemented by enumerations: every constant has a text of each part in the catalogue, and a test
 * goes through them both ways.
 */
public interface MessageTopic {
    /** @return name of the constant */
    String name();

    /** @return the catalogue's chapter */
    String chapter();

    /** @return names of its texts */
    List<String> parts();

    /**
     * @param part one of its texts
     * @return the text's key in the catalogue
     * @throws IllegalArgumentException when the topic has no such text
     */
    default String key(String part) {
        if (!parts().contains(part)) {
            throw new IllegalArgumentException(chapter() + "." + name() + " has no text " + part);
        }
        return chapter() + "." + name() + "." + part;
    }

    /**
     * @param part one of its texts
     * @return the message
     */
    default Message say(String part) {
        return Message.of(this, part);
    }
}
