package vividcrown.server.operation;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/**
 * What stands in a link and opens it for whoever holds it. The database knows only what it hashes to.
 *
 * @param text letters and digits that an address can carry
 */
public record LinkSecret(String text) {

    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    public static LinkSecret fresh() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return new LinkSecret(Base64.getUrlEncoder().withoutPadding().encodeToString(bytes));
    }

    /** SHA-256. */
    public byte[] hash() {
        try {
            return MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("Impossible state: every JDK has SHA-256", impossible);
        }
    }
}
