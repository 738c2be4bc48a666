package bricksignal.casework.page;

import bricksignal.casework.Admission;
import bricksignal.casework.Case;
import bricksignal.casework.Line;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Refused;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.wiring.BoardMap;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out the change of a board. */
final class ChangeOut {

    private static final List<String> CAUTIONS = List.of("off", "static", "one", "pull", "torque", "polarity");

    private final Case now;
    private final UnitModel model;
    private final List<Part> boards;
    private final Part board;
    private final BoardMap map;
    private final Map<String, Filed<Entry.Terminal>> asFound = new LinkedHashMap<>();
    private final Set<String> moved = new LinkedHashSet<>();
    private final Set<String> agreed = new LinkedHashSet<>();
    private final Map<Entry.PlateOf, String> plate = new LinkedHashMap<>();
    private final Map<String, String> settings = new LinkedHashMap<>();
    private final List<ChangeOutPage.SpareLine> spares = new ArrayList<>();

    /** An entry with its id. */
    private record Filed<E>(String id, E entry) {
    }

    ChangeOut(Case now, UnitModel fresh, String part) {
        this.now = now;
        this.model = now.unit().model();
        this.boards = model.parts().stream().filter(one -> one.kind() == Part.Kind.BOARD).toList();
        this.board = board(part);
        now.lines().stream().filter(Line::counts).forEach(line -> note(line.filed().id(), line.filed().entry()));
        this.map = BoardMap.of(model, fresh, board.id(), settings);
    }

    private Part board(String part) {
        if (boards.isEmpty()) {
            throw new Refused("board", Message.of("change.no-board"));
        }
        if (!part.isEmpty()) {
            return boards.stream().filter(one -> one.id().equals(part)).findFirst().orElseThrow(() -> new Refused("board", Message.of("change.which-board",
                    Message.said(part), Message.said(boards.stream().map(Part::id).collect(Collectors.joining(", "))))));
        }
        List<Part> blamed = Stream.concat(now.diagnosis().repaired().stream().map(model::part), now.diagnosis().hypothesis(now.diagnosis().leader()).parts().stream())
                .toList();
        return boards.stream().filter(blamed::contains).findFirst().orElse(boards.get(0));
    }

    private void note(String id, Entry entry) {
        if (entry instanceof Entry.Terminal terminal) {
            asFound.put(terminal.terminal(), new Filed<>(id, terminal));
        } else if (entry instanceof Entry.Moved done) {
            moved.add(done.terminal());
        } else if (entry instanceof Entry.Agreed known) {
            agreed.add(known.what());
        } else if (entry instanceof Entry.Plate text) {
            plate.put(text.what(), text.text());
        } else if (entry instanceof Entry.SetTo set) {
            settings.putIfAbsent(set.setting(), set.found());
        } else if (entry instanceof Entry.Spare spare) {
            spares.add(new ChangeOutPage.SpareLine(id, spare.cable(), spare.conductor()));
        }
    }

    ChangeOutPage page() {
        Set<String> own = BoardMap.functions(model, board.id()).keySet();
        List<ChangeOutPage.TerminalLine> terminals = Stream.concat(own.stream(), asFound.keySet().stream()).distinct().map(this::terminal).toList();
        return new ChangeOutPage(boards.stream().map(one -> new ChangeOutPage.BoardLine(one.id(), one.label())).toList(), board.id(), blocked(), terminals,
                Arrays.stream(Entry.PlateOf.values()).map(what -> new ChangeOutPage.PlateLine(what, Message.of("plate." + what), plate.get(what))).toList(),
                problems(), moves(own), differences(), model.settings().stream().map(setting -> new ChangeOutPage.SwitchLine(setting.id(), setting.label(),
                setting.range() == null ? List.copyOf(setting.options().keySet()) : List.of(settings.getOrDefault(setting.id(), setting.factory())), settings.get(setting.id()), model.menu().has(setting.id()))).toList(), spares, numbers(),
                CAUTIONS.stream().map(what -> Message.of("change.caution." + what)).toList());
    }

    /** Whether the new board and that of the unit next to it are the same as the old one, as far as their numbers were typed. */
    private List<Message> numbers() {
        return Stream.concat(number("new", Entry.PlateOf.NEW_PART_NUMBER, Entry.PlateOf.NEW_REVISION), number("twin", Entry.PlateOf.TWIN_PART_NUMBER, Entry.PlateOf.TWIN_REVISION)).toList();
    }

    private Stream<Message> number(String whose, Entry.PlateOf number, Entry.PlateOf revision) {
        String here = plate.get(Entry.PlateOf.PART_NUMBER);
        String there = plate.get(number);
        if (here == null || there == null) {
            return Stream.empty();
        }
        if (!alike(here, there)) {
            return Stream.of(Message.of("change.number." + whose, Message.said(there), Message.said(here)));
        }
        String old = plate.get(Entry.PlateOf.REVISION);
        String other = plate.get(revision);
        return Stream.of(old == null || other == null ? Message.of("change.number-only." + whose) : alike(old, other) ? Message.of("change.same." + whose)
                : Message.of("change.revision." + whose, Message.said(other), Message.said(old)));
    }

    /** Spaces, dashes and the size of letters are printed now so, now so. */
    private static boolean alike(String one, String other) {
        return plain(one).equals(plain(other));
    }

    private static String plain(String number) {
        return number.replaceAll("[\\s./_-]", "").toUpperCase(Locale.ROOT);
    }

    private Message blocked() {
        if (now.diagnosis().repaired().contains(board.id()) || Admission.mayBeRepaired(now, board)) {
            return Message.NOTHING;
        }
        return now.advice().verdict().damaged().contains(board.id()) ? Message.of("entry.cause-first", Message.said(board.label()), now.diagnosis()
                .hypothesis(now.advice().verdict().leader()).label()) : Message.of("entry.board-not-proven", Message.said(board.label()));
    }

    private ChangeOutPage.TerminalLine terminal(String terminal) {
        Filed<Entry.Terminal> found = asFound.get(terminal);
        return new ChangeOutPage.TerminalLine(terminal, model.pointLabel(terminal), usual(terminal), found == null ? null : found.entry().conductor(),
                found == null ? null : found.id());
    }

    private String usual(String terminal) {
        return model.points().stream().filter(point -> point.net().equals(terminal)).map(Point::colour).findFirst().orElse("");
    }

    private String conductor(String terminal) {
        Filed<Entry.Terminal> found = asFound.get(terminal);
        return found == null ? usual(terminal) : found.entry().conductor();
    }

    /** The same conductor, as it is marked, cannot be on two terminals; a colour alone is no mark. */
    private List<Message> problems() {
        Map<String, List<String>> by = new LinkedHashMap<>();
        asFound.forEach((terminal, found) -> by.computeIfAbsent(found.entry().conductor().trim(), text -> new ArrayList<>()).add(model.pointLabel(terminal)));
        return by.entrySet().stream().filter(one -> one.getValue().size() > 1 && one.getKey().matches(".*\\d.*")).map(one -> Message.of("change.twice",
                Message.said(one.getKey()), Message.said(String.join(", ", one.getValue())))).toList();
    }

    private List<ChangeOutPage.MoveLine> moves(Set<String> own) {
        Stream<ChangeOutPage.MoveLine> placed = map.moves().stream().map(move -> line(move.from().net(), move.from().label(), move.to().label()));
        Stream<ChangeOutPage.MoveLine> without = Stream.concat(map.unplaced().stream().map(one -> line(one.net(), one.label(), null)), asFound.keySet().stream()
                .filter(terminal -> !own.contains(terminal)).map(terminal -> line(terminal, terminal, null)));
        return Stream.concat(placed, without).toList();
    }

    private ChangeOutPage.MoveLine line(String terminal, String from, @Nullable String to) {
        return new ChangeOutPage.MoveLine(terminal, from, to, conductor(terminal), moved.contains(terminal));
    }

    private List<ChangeOutPage.DifferenceLine> differences() {
        List<ChangeOutPage.DifferenceLine> all = new ArrayList<>();
        map.settings().stream().filter(BoardMap.Carried::differs).forEach(setting -> all.add(difference("setting " + setting.label(), carried(setting),
                setting.position())));
        map.moves().stream().filter(move -> !move.from().label().equals(move.to().label())).forEach(move -> all.add(difference("terminal " + move.from().label(),
                Message.of("change.other-name", Message.said(move.from().label()), Message.said(move.to().label())), null)));
        map.unplaced().forEach(one -> all.add(difference("terminal " + one.label(), Message.of("change.no-place", Message.said(one.label())), null)));
        map.added().forEach(one -> all.add(difference("terminal " + one.label(), Message.of("change.new-place", Message.said(one.label())), null)));
        return all;
    }

    private static Message carried(BoardMap.Carried setting) {
        Message label = Message.said(setting.label());
        if (setting.found() == null) {
            return Message.of("change.not-noted", label, Message.said(setting.factory()));
        }
        String key = setting.exact() ? "change.carried" : "change.nearest";
        return Message.of(key, label, Message.said(Objects.requireNonNull(setting.found())), Message.said(setting.position()), Message.said(setting.factory()));
    }

    private ChangeOutPage.DifferenceLine difference(String what, Message says, @Nullable String position) {
        return new ChangeOutPage.DifferenceLine(what, says, position, agreed.contains(what));
    }
}
