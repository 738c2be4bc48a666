package bricksignal.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Debian's headless Chromium at one size of screen, with the few moves that the tests make. */
final class Browser implements AutoCloseable {

    private final Path profile;
    private final ChromeDriver driver;
    private final String url;
    private int pressed;
    private int digits;

    Browser(String url, int width, int height) {
        this(url, width, height, null);
    }

    /** With a film in place of the camera. */
    Browser(String url, int width, int height, @Nullable Path film) {
        try {
            this.profile = Files.createTempDirectory("brick-chromium");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.url = url;
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless=new", "--no-sandbox", "--disable-dev-shm-usage", "--disable-gpu", "--disable-quic",
                "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync",
                "--user-data-dir=" + profile);
        if (film != null) {
            options.addArguments("--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream",
                    "--use-file-for-fake-video-capture=" + film);
        }
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile()).usingAnyFreePort().build();
        driver = new ChromeDriver(service, options);
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", width < 600));
    }

    ChromeDriver driver() {
        return driver;
    }

    void go(String path) {
        driver.get(url + path);
    }

    void logIn(String login) {
        go("/login");
        see("#username").sendKeys(login);
        see("#password").sendKeys("skerrow");
        press("button[type=submit]");
        see("[data-test=new-job]");
    }

    /** Opens the job whose site is named. */
    void openJob(String site) {
        WebElement link = see(By.xpath("//a[contains(@class,'job')][.//strong[text()='" + site + "']]"));
        link.click();
        see(".visit");
    }

    WebElement see(String css) {
        return see(By.cssSelector(css));
    }

    WebElement see(By by) {
        return new WebDriverWait(driver, Duration.ofSeconds(15)).until(ExpectedConditions.visibilityOfElementLocated(by));
    }

    /** Brought to the middle of the screen and pressed; once more where the page grew between the two, as a hand would. */
    void press(String css) {
        WebDriverWait wait = new WebDriverWait(driver, Duration.ofSeconds(15));
        wait.until(ExpectedConditions.elementToBeClickable(By.cssSelector(css)));
        wait.ignoreAll(List.of(StaleElementReferenceException.class, ElementClickInterceptedException.class)).until(d -> {
            WebElement found = see(css);
            driver.executeScript("arguments[0].scrollIntoView({block:'center',inline:'nearest',behavior:'instant'})", found);
            found.click();
            return true;
        });
        pressed++;
    }

    /** How often something was pressed. */
    int pressed() {
        return pressed;
    }

    /** A reading typed by the keypad of the work, digit by digit; its digits are counted apart. */
    void typeReading(String reading) {
        if (reading.equals("OL")) {
            press(".pad [aria-label='open, OL']");
        } else {
            for (char c : reading.toCharArray()) {
                press(".pad [aria-label='" + (c == '.' ? "point" : c == '-' ? "minus" : String.valueOf(c)) + "']");
                pressed--;
                digits++;
            }
        }
        press("[data-test=take]");
    }

    /** How many digits of readings were pressed. */
    int digits() {
        return digits;
    }

    boolean shows(String css) {
        return Boolean.TRUE.equals(driver.executeScript("return [...document.querySelectorAll(arguments[0])].some(e => e.checkVisibility({ visibilityProperty: true }))", css));
    }

    /** The text of what is seen; read again where the page changed under the reading. */
    String text(String css) {
        return new WebDriverWait(driver, Duration.ofSeconds(15)).ignoring(StaleElementReferenceException.class)
                .until(d -> see(css).getText());
    }

    /** The text of what may be there, at once; empty where it is not. */
    String textNow(String css) {
        return String.valueOf(driver.executeScript(
                "const e = document.querySelector(arguments[0]); return e ? e.innerText : ''", css));
    }

    void waitFor(java.util.function.BooleanSupplier condition) {
        new WebDriverWait(driver, Duration.ofSeconds(20)).ignoring(StaleElementReferenceException.class)
                .until(d -> condition.getAsBoolean());
    }

    /** Turns the clock of the call, as if it had been placed so many seconds ago. */
    void clockAt(double seconds) {
        driver.executeScript("for (const key of Object.keys(localStorage)) if (key.startsWith('brick-call-')) { "
                + "localStorage.setItem(key, String(Date.now() - 1000 * arguments[0])); "
                + "window.dispatchEvent(new StorageEvent('storage', { key, newValue: localStorage.getItem(key), "
                + "storageArea: localStorage })) }", seconds);
    }

    /** By how many pixels the page is longer than the screen. */
    long blankBelow() {
        return ((Number) driver.executeScript("return document.documentElement.scrollHeight - innerHeight")).longValue();
    }

    int logSize() {
        return driver.findElements(By.cssSelector("[data-test=log] > li")).size();
    }

    /** Violations of impact moderate or higher that axe-core finds on the page as it stands. */
    @SuppressWarnings("unchecked")
    List<String> violations(Path project) {
        try {
            driver.executeScript(Files.readString(project.resolve("web/node_modules/axe-core/axe.min.js")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return (List<String>) driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                axe.run(document, { resultTypes: ['violations'] }).then(r => done(r.violations
                  .filter(v => v.impact !== 'minor')
                  .map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 120) + ' ' + n.failureSummary).join(' | '))))""");
    }

    /**
     * What does not hold when text is twice as large as usual (WCAG 2.2, 1.4.4): the page wider than the screen, or a word cut off by its own box. What scrolls by itself may be
     * wider.
     */
    @SuppressWarnings("unchecked")
    List<String> brokenByLargeText() {
        return (List<String>) driver.executeScript("""
                document.documentElement.style.fontSize = '200%';
                const scrolls = e => { for (let p = e; p; p = p.parentElement) if (/auto|scroll/.test(getComputedStyle(p).overflowX)) return true; return false };
                const wide = document.documentElement.scrollWidth > innerWidth + 1 ? ['the page is ' + document.documentElement.scrollWidth + ' wide: ' + [...document.querySelectorAll('main *')].filter(e => !scrolls(e.parentElement) && e.getBoundingClientRect().right > innerWidth + 1).map(e => e.tagName + '.' + e.className).slice(0, 4)] : [];
                const cut = [...document.querySelectorAll('main button, main a, main p, main h1, main h2, main label, main td, main th')].filter(e => e.offsetParent
                  && getComputedStyle(e).textOverflow !== 'ellipsis' && !e.closest('.visually-hidden, svg') && !scrolls(e)
                  && (e.getBoundingClientRect().right > innerWidth + 1 || (getComputedStyle(e).overflowX === 'hidden' && e.scrollWidth > e.clientWidth + 1)))
                  .map(e => e.tagName + ' ' + e.innerText.slice(0, 60));
                document.documentElement.style.fontSize = '';
                return [...wide, ...cut.slice(0, 5)];""");
    }

    @Override
    public void close() {
        driver.quit();
        try (Stream<Path> files = Files.walk(profile)) {
            files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
