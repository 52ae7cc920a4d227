package vividcrown.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;

/**
 * Nothing is carried from one page to the next here. The framework's own manager would look into the session, and so into the
 * database, for every picture and script.
 */
@Component("flashMapManager")
class NoFlash implements FlashMapManager {

    @Override
    public @Nullable FlashMap retrieveAndUpdate(HttpServletRequest request, HttpServletResponse response) {
        return null;
    }

    @Override
    public void saveOutputFlashMap(FlashMap flashMap, HttpServletRequest request, HttpServletResponse response) {
        if (!flashMap.isEmpty()) {
            throw new IllegalStateException("Impossible state: nothing here is carried to the next page");
        }
    }
}
