package vividcrown.journeys;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Debian's Chromium, headless, started once for all journeys. */
public final class Browser implements ParameterResolver, AfterAllCallback {

    private static final ExtensionContext.Namespace NAMESPACE = ExtensionContext.Namespace.create(Browser.class);
    /** A machine that does other work meanwhile is slow, and not wrong. */
    private static final double PATIENCE_MILLISECONDS = 15_000;
    private static final List<String> ARGUMENTS = List.of("--no-sandbox", "--disable-gpu",
            "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run");

    /** A running browser. */
    public record Running(Playwright playwright, com.microsoft.playwright.Browser browser) implements AutoCloseable {

        /** A device of its own: cookies and storage apart from every other. */
        public BrowserContext device(int width, int height) {
            return device(width, height, ServiceWorkerPolicy.BLOCK);
        }

        /** A phone that keeps the screens, as a real one does; here journeys cannot stand between it and the server. */
        public BrowserContext phoneThatKeepsTheScreens() {
            return device(390, 844, ServiceWorkerPolicy.ALLOW);
        }

        private BrowserContext device(int width, int height, ServiceWorkerPolicy keeping) {
            BrowserContext device = browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                    .setViewportSize(width, height).setLocale("en-GB").setTimezoneId("Europe/Zurich")
                    .setServiceWorkers(keeping));
            device.setDefaultTimeout(PATIENCE_MILLISECONDS);
            return device;
        }

        public Page desk() {
            return device(1280, 800).newPage();
        }

        public Page phone() {
            return device(390, 844).newPage();
        }

        @Override
        public void close() {
            playwright.close();
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
        return parameter.getParameter().getType() == Running.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
        return extension.getRoot().getStore(NAMESPACE).getOrComputeIfAbsent(Running.class, _ -> start(), Running.class);
    }

    /** What is left open goes on drawing and asking, and takes the machine from the journeys that follow. */
    @Override
    public void afterAll(ExtensionContext extension) {
        Running running = extension.getRoot().getStore(NAMESPACE).get(Running.class, Running.class);
        if (running != null) {
            List.copyOf(running.browser().contexts()).forEach(BrowserContext::close);
        }
    }

    private static Running start() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLISECONDS);
        Playwright playwright = Playwright
                .create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return new Running(playwright, playwright.chromium().launch(new BrowserType.LaunchOptions().setHeadless(true)
                .setExecutablePath(Path.of("/usr/bin/chromium")).setArgs(ARGUMENTS)));
    }
}
