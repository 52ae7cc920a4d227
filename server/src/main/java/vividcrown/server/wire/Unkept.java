package vividcrown.server.wire;

/** Characters that no text has and no database keeps: NUL, and half of a pair. */
public final class Unkept {

    private Unkept() {
    }

    /** Whether there is none of them. */
    public static boolean none(String text) {
        for (int at = 0; at < text.length(); at++) {
            char one = text.charAt(at);
            if (one == 0 || Character.isLowSurrogate(one)) {
                return false;
            }
            if (Character.isHighSurrogate(one)) {
                at++;
                if (at == text.length() || !Character.isLowSurrogate(text.charAt(at))) {
                    return false;
                }
            }
        }
        return true;
    }
}
