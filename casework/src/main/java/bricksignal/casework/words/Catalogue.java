package bricksignal.casework.words;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.words.Digits;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes words of messages, in one language. A catalogue is a text: a line {@code key = words} for each message, with {@code {0}},
 * {@code {1}} where its parts stand, and {@code {0, plural, one {# day} other {# days}}} where a word goes with a number (a subset of ICU's message syntax, in which an apostrophe beside a place is written twice); a line that begins with {@code #} is a remark. Another language is another text.
 */
public final class Catalogue {

    /** Nearer than this to nothing or to certainty no number is told (common practice). */
    private static final double LEAST_SHARE = 0.01;

    /** What can hurt somebody, by key: what to mind and what to do, not the names of it. */
    private static final List<String> CAUTIONS = List.of("hazard.", "stop.", "change.caution.", "needs.", "notice.", "judgement.bridged", "judgement.fuse-too-big", "defer");
    private static final String LAMP = "lamp.word.";
    private static final String CALCULATION = "tuning.";
    private static final List<String> CAUTIONS_OF_A_CALCULATION = List.of(".caution", ".stop-");
    private static final List<String> NAMES = List.of(".name", ".what", ".title", ".told", ".signed", ".refused", ".risk", ".next");

    private final Map<String, Pattern> words;
    private final @Nullable Catalogue checked;
    private final Map<String, String> phrases;

    private final Measures measures;

    private Catalogue(Map<String, Pattern> words, @Nullable Catalogue checked, Map<String, String> phrases, Measures measures) {
        this.words = words;
        this.checked = checked;
        this.phrases = phrases;
        this.measures = measures;
    }

    /** The same with its amounts in other units. */
    public Catalogue in(Measures others) {
        return new Catalogue(words, checked == null ? null : checked.in(others), phrases, others);
    }

    /** The units that its amounts are told in. */
    public Measures measures() {
        return measures;
    }

    /**
     * The same as a draft that no practitioner has checked: a caution has the words of the checked catalogue beside it.
     *
     * @param phrasesOfPacks what the equipment data say in the language of the checked catalogue, and in this one; any other stays as it was said
     */
    public Catalogue draftOf(Catalogue checkedOne, Map<String, String> phrasesOfPacks) {
        return new Catalogue(words, checkedOne, Map.copyOf(phrasesOfPacks), measures);
    }

    /**
     * The words of a key, taken apart once.
     *
     * @param texts what stands before, between and after the places
     * @param places which part of the message stands between two texts
     */
    private record Pattern(List<String> texts, List<Place> places) {

        static Pattern of(String words) {
            List<String> texts = new ArrayList<>();
            List<Place> places = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            for (int at = 0; at < words.length(); at++) {
                char c = words.charAt(at);
                if (c == '{') {
                    int close = closing(words, at);
                    texts.add(text.toString());
                    text.setLength(0);
                    places.add(Place.of(words.substring(at + 1, close)));
                    at = close;
                } else {
                    text.append(c);
                    at += c == '\'' && words.startsWith("'", at + 1) ? 1 : 0;
                }
            }
            texts.add(text.toString());
            return new Pattern(texts, places);
        }

        String filled(List<String> parts) {
            StringBuilder text = new StringBuilder(texts.get(0));
            for (int i = 0; i < places.size(); i++) {
                Place place = places.get(i);
                text.append(place.part() < parts.size() ? place.filled(parts.get(place.part())) : "").append(texts.get(i + 1));
            }
            return text.toString();
        }

        private static int closing(String words, int open) {
            int depth = 0;
            for (int i = open; i < words.length(); i++) {
                depth += words.charAt(i) == '{' ? 1 : words.charAt(i) == '}' ? -1 : 0;
                if (depth == 0) {
                    return i;
                }
            }
            throw new IllegalArgumentException("'" + words + "' opens a place and does not close it");
        }
    }

    /**
     * Where a part of a message stands.
     *
     * @param one what stands there for one, {@code #} being the number; empty where the part alone stands there
     * @param other the same for any other number
     */
    private record Place(int part, String one, String other) {

        private static final String ONE = ", plural, one {";
        private static final String OTHER = "} other {";

        static Place of(String inside) {
            int one = inside.indexOf(ONE);
            int other = inside.indexOf(OTHER);
            return one < 0 ? new Place(Integer.parseInt(inside), "", "") : new Place(Integer.parseInt(inside.substring(0, one)), inside.substring(one + ONE.length(), other),
                    inside.substring(other + OTHER.length(), inside.length() - 1));
        }

        String filled(String with) {
            return other.isEmpty() ? with : (with.equals("1") ? one : other).replace("#", with);
        }
    }

    /**
     * Reads a catalogue.
     *
     * @throws IllegalArgumentException if a line is neither a message nor a remark, or a key stands twice
     */
    public static Catalogue read(String text) {
        Map<String, Pattern> words = new LinkedHashMap<>();
        int number = 0;
        for (String line : text.split("\n")) {
            number++;
            int equals = line.indexOf('=');
            if (line.isBlank() || line.startsWith("#")) {
                continue;
            }
            if (equals <= 0) {
                throw new IllegalArgumentException("line " + number + " of the catalogue is no message: '" + line
                        + "'; write 'key = words'");
            }
            if (words.put(line.substring(0, equals).strip(), Pattern.of(line.substring(equals + 1).strip())) != null) {
                throw new IllegalArgumentException("line " + number + " of the catalogue: '" + line.substring(0, equals).strip()
                        + "' stands twice; take one out");
            }
        }
        return new Catalogue(words, null, Map.of(), Measures.US);
    }

    /** The keys it has words for. */
    public Set<String> keys() {
        return Set.copyOf(words.keySet());
    }

    /**
     * The words of a message.
     *
     * @throws IllegalArgumentException if the catalogue does not have its key
     */
    public String words(Message message) {
        if (message instanceof Message.Said said) {
            return phrase(said.text());
        } else if (message instanceof Message.Amount amount) {
            String digits = Digits.of(measures.shown(amount.mode(), amount.value()));
            return Double.isInfinite(amount.value()) ? word("amount.open") : amount.mode() == MeterMode.PERCENT ? filled("share", List.of(digits))
                    : filled("amount", List.of(digits, unit(amount.mode())));
        } else if (message instanceof Message.Unit unit) {
            return unit.onlyOther() ? measures.unit(unit.mode()).orElse("") : unit(unit.mode());
        } else if (message instanceof Message.Worked worked) {
            return worked(worked);
        } else if (message instanceof Message.Lamp lamp) {
            return String.join(" ", List.of(lamp.pattern().split(" ")).stream().map(token -> words.containsKey(LAMP + token) ? word(LAMP + token) : token).toList());
        } else if (message instanceof Message.Number number) {
            return Digits.of(number.value());
        } else if (message instanceof Message.Money money) {
            return filled("money", List.of(String.format(Locale.ROOT, "%,d", Math.round(money.amount())), money.currency()));
        } else if (message instanceof Message.Share share) {
            return share.share() > 0 && share.share() < LEAST_SHARE ? word("share.small")
                    : share.share() > 1 - LEAST_SHARE && share.share() < 1 ? word("share.large") : filled("share", List.of(String.valueOf(Math.round(100 * share.share()))));
        } else if (message instanceof Message.Items items) {
            return String.join(word("joint." + items.joint()).replace('_', ' '), items.items().stream().map(this::words).toList());
        }
        Message.Keyed keyed = (Message.Keyed) message;
        String told = filled(keyed.key(), keyed.parts().stream().map(this::words).toList());
        return checked == null || !cautions(keyed.key()) ? told : told + " [" + checked.words(message) + "]";
    }

    private String worked(Message.Worked worked) {
        String digits = String.format(Locale.ROOT, "%,." + worked.unit().decimals(measures, worked.decimals()) + "f", worked.unit().shown(measures, worked.value()));
        String sign = worked.unit().sign(measures);
        return worked.unit() == TradeUnit.PERCENT ? filled("share", List.of(digits)) : sign.isEmpty() ? digits : filled("amount", List.of(digits, sign));
    }

    /** What the equipment data say, in this language where its words are known; a title is told part by part. */
    public String phrase(String said) {
        String whole = phrases.get(said);
        if (whole != null || phrases.isEmpty()) {
            return whole == null ? said : whole;
        }
        List<String> parts = List.of(said.split(", "));
        for (int first = parts.size() - 1; first > 0; first--) {
            String begins = phrases.get(String.join(", ", parts.subList(0, first)));
            List<String> rest = parts.subList(first, parts.size());
            if (begins != null && phrases.keySet().containsAll(rest)) {
                return begins + ", " + String.join(", ", rest.stream().map(phrases::get).toList());
            }
        }
        return said;
    }

    /** The same beginning with a capital. */
    public String sentence(Message message) {
        String words = words(message);
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static boolean cautions(String key) {
        return key.startsWith(CALCULATION) ? CAUTIONS_OF_A_CALCULATION.stream().anyMatch(key::contains)
                : CAUTIONS.stream().anyMatch(key::startsWith) && NAMES.stream().noneMatch(key::endsWith);
    }

    private String unit(MeterMode mode) {
        return measures.unit(mode).orElseGet(() -> word("unit." + mode));
    }

    private String word(String key) {
        return filled(key, List.of());
    }

    private String filled(String key, List<String> parts) {
        return pattern(key).filled(parts);
    }

    private Pattern pattern(String key) {
        Pattern known = words.get(key);
        if (known == null) {
            throw new IllegalArgumentException("the catalogue has no words for '" + key + "'");
        }
        return known;
    }

    /** How many parts the words of a key take. */
    public int places(String key) {
        return pattern(key).places().stream().mapToInt(place -> place.part() + 1).max().orElse(0);
    }
}
