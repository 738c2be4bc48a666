package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.casework.Commissioning;
import bricksignal.casework.Line;
import bricksignal.casework.Stamps;
import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.Judgement;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.TypedReading;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Chart;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.common.CommonFailures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The log in messages. */
final class LogLines {

    private static final int MOST_PATTERNS = 4;
    /** A lamp that is likelier none of the chart than any of it. */
    private static final double MOSTLY = 0.5;
    private static final double WORTH_SHOWING = 0.001;
    /** A fifth likelier is worth a word. */
    private static final double CLEARLY_LIKELIER = 1.2;
    private static final int MOST_NAMED = 3;

    private final Case now;
    private final UnitModel model;

    LogLines(Case now) {
        this.now = now;
        this.model = now.unit().model();
    }

    CasePage.LogLine line(Line line) {
        Entry entry = entry(line);
        Observation first = first(line);
        LampDecoder.Decoding lamp = line.lamp();
        String board = first instanceof Observation.Lamp seen ? seen.board() : null;
        List<CasePage.Weight> weights = lamp == null || board == null ? List.of() : weights(board, lamp);
        Message what = what(entry, line, board);
        return new CasePage.LogLine(line.filed().id(), EntryFormat.kind(entry), line.filed().madeAt(), line.filed().entry()
                instanceof Entry.Earlier earlier ? Message.of("log.earlier", Message.of("log.when." + earlier.when()), what) : what,
                found(entry, line, weights), judgement(entry, first), due(first), line.counts(),
                first instanceof Observation.Reading, first instanceof Observation.Reading read ? new Message.Unit(read.test().mode(), true) : Message.NOTHING,
                board, first instanceof Observation.Reading reading ? reading.test().id()
                : first instanceof Observation.Answer answer ? answer.test().id() : null,
                first instanceof Observation.Answer said ? (Boolean) said.yes() : null, weights);
    }

    /** What an entry is about, whenever it was so. */
    private static Entry entry(Line line) {
        return line.filed().entry() instanceof Entry.Earlier earlier ? earlier.what() : line.filed().entry();
    }

    private static @org.jspecify.annotations.Nullable Observation first(Line line) {
        Observation first = line.observations().isEmpty() ? null : line.observations().get(0);
        return first instanceof Observation.Earlier earlier ? earlier.what() : first;
    }

    /** True for an observation whose place can be named. */
    static boolean tellsWhat(Observation observation) {
        return observation instanceof Observation.Reading || observation instanceof Observation.Answer;
    }

    /** What a reading was taken of, or what was asked. */
    Message what(Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            Test.Reading test = reading.test();
            Message where = declared(test) ? test.label() : Instruction.what(model, test);
            return Message.of("log.moment", where, Instruction.when(now.unit().pack(), test));
        }
        return observation instanceof Observation.Answer answer ? answer.test().label() : Message.NOTHING;
    }

    private boolean declared(Test.Reading test) {
        return model.readings().contains(test);
    }

    private Message what(Entry entry, Line line, @org.jspecify.annotations.Nullable String board) {
        if (entry instanceof Entry.OfALamp lamp) {
            return lamp(lamp, board);
        } else if (entry instanceof Entry.Seen seen) {
            return Message.of(seen.begins() ? "log.began" : "log.ended", channel(seen.channel()));
        } else if (entry instanceof Entry.Missed missed) {
            return Message.of("log.missed", channel(missed.channel()));
        } else if (entry instanceof Entry.Stamped stamped) {
            return Message.of("log.stamped", Message.said(Stamps.of(stampedOn(stamped)).orElseThrow().says()));
        } else if (entry instanceof Entry.SetTo set) {
            return Message.of("log.set", Message.said(model.setting(set.setting()).label()));
        } else if (entry instanceof Entry.Safe safe) {
            return Message.of("prove." + safe.what());
        } else if (entry instanceof Entry.Stopped stopped) {
            return Message.of("log.stopped", stopped.finding().says("what"));
        } else if (entry instanceof Entry.Lifted lifted) {
            return Message.of("log.lifted", lifted.finding().says("what"), Message.said(lifted.by()));
        } else if (entry instanceof Entry.Monoxide measured) {
            return Message.of("log.monoxide." + measured.where());
        } else if (entry instanceof Entry.Tagged tagged) {
            return Message.of(tagged.signed() ? "log.tagged" : "log.tagged-refused", Message.said(tagged.told()));
        } else if (entry instanceof Entry.Unable unable) {
            return now.unit().pack().catalogue().test(unable.test()).label();
        } else if (entry instanceof Entry.SetUp step) {
            return Commissioning.steps(model).stream().filter(fault -> fault.id().equals(step.step())).findFirst().map(fault -> Message.said(fault.commission()))
                    .orElseGet(() -> model.settings().stream().filter(setting -> Commissioning.step(setting.id()).equals(step.step())).findFirst()
                            .map(setting -> Message.of("log.set", Message.said(setting.label()))).orElse(Message.said(step.step())));
        } else if (entry instanceof Entry.OfTheWork work) {
            return WorkLines.what(model, work);
        } else if (entry instanceof Entry.Unread unread) {
            return Message.of("log.unread", Message.said(unread.kind()));
        }
        Observation first = first(line);
        return first != null && tellsWhat(first) ? what(first) : Message.of(plain(entry));
    }

    private static String plain(Entry entry) {
        return entry instanceof Entry.PowerCycled ? "log.power-cycled" : entry instanceof Entry.Watched ? "log.watched"
                : entry instanceof Entry.Repaired ? "log.repaired" : entry instanceof Entry.NewUnit ? "log.new-unit" : entry instanceof Entry.Twin ? "log.twin"
                : entry instanceof Entry.Died ? "log.died" : entry instanceof Entry.Visited ? "log.visited"
                : entry instanceof Entry.Experience ? "log.experience" : entry instanceof Entry.Note ? "log.note" : entry instanceof Entry.ChangeIn ? "log.change-in"
                : entry instanceof Entry.ChangeOut ? "log.change-out" : "log.taken-back";
    }

    private Message lamp(Entry.OfALamp entry, @org.jspecify.annotations.Nullable String board) {
        Message lamp = board == null || model.charts().size() == 1 ? Message.of("log.lamp")
                : Message.of("log.lamp-of", Message.said(model.boardLabel(board)));
        if (entry instanceof Entry.Tapped tapped) {
            return Message.of("log.tapped", lamp, new Message.Number(tapped.taps().seconds().size()));
        }
        return entry instanceof Entry.Filmed filmed ? Message.of("log.filmed", lamp,
                new Message.Number(Math.round(filmed.seconds()))) : Message.of("log.as-found", lamp);
    }

    private Message found(Entry entry, Line line, List<CasePage.Weight> lamp) {
        if (!lamp.isEmpty()) {
            return Message.of("log.weight", lamp.get(0).pattern(), new Message.Share(lamp.get(0).weight()));
        } else if (entry instanceof Entry.Pattern pattern) {
            return new Message.Lamp(pattern.pattern());
        } else if (entry instanceof Entry.Note note) {
            return Message.said(note.text());
        } else if (entry instanceof Entry.SetTo set) {
            return CommissioningPage.set(set);
        } else if (entry instanceof Entry.Lifted lifted) {
            return Message.said(lifted.done());
        } else if (entry instanceof Entry.Monoxide measured) {
            return Message.of("log.ppm", new Message.Number(measured.ppm()));
        } else if (entry instanceof Entry.Safe safe) {
            return Message.of(safe.yes() ? "yes" : "no");
        } else if (entry instanceof Entry.ChangeIn change) {
            return now.change(change);
        } else if (entry instanceof Entry.Seen seen) {
            return Message.of("log.seconds", new Message.Number(seen.seconds()));
        } else if (entry instanceof Entry.Missed missed) {
            return Message.of("log.seconds", new Message.Number(missed.seconds()));
        } else if (entry instanceof Entry.Watched watched) {
            return watched(line, watched);
        } else if (entry instanceof Entry.Repaired repaired) {
            return Message.said(model.part(repaired.part()).label());
        } else if (entry instanceof Entry.PowerCycled cycled) {
            return Message.of(cycled.yes() ? "yes" : "no");
        } else if (entry instanceof Entry.Twin twin) {
            return Message.of(twin.alike() ? "yes" : "log.twin-runs");
        } else if (entry instanceof Entry.Stamped stamped) {
            Test.Reading on = stampedOn(stamped);
            return new Message.Amount(on.mode(), TypedReading.parse(on.mode(), stamped.value()));
        } else if (entry instanceof Entry.Died || entry instanceof Entry.Visited) {
            return ofThen(entry);
        } else if (entry instanceof Entry.Experience experience) {
            return likelier(experience);
        } else if (entry instanceof Entry.SetUp step) {
            return step.text() != null ? Message.said(step.text()) : Message.of(step.fitted() ? "log.set-up" : "log.set-up-none");
        } else if (entry instanceof Entry.Unable unable) {
            return Message.of("log.unable." + unable.why());
        } else if (entry instanceof Entry.OfTheWork work) {
            return WorkLines.found(model, work);
        } else if (entry instanceof Entry.Unread unread) {
            return Message.said(unread.text());
        }
        Observation first = first(line);
        return first == null ? Message.NOTHING : found(now, first);
    }

    private Test.Reading stampedOn(Entry.Stamped stamped) {
        return (Test.Reading) now.unit().pack().catalogue().test(stamped.test());
    }

    /** How it died, or what was done on an earlier visit. */
    private Message ofThen(Entry entry) {
        List<Message> said = new ArrayList<>();
        if (entry instanceof Entry.Died died) {
            said.add(Message.of("log.died-after", new Message.Number(died.minutes())));
            if (died.first() != null) {
                said.add(Message.of("log.died-first", Message.said(model.pointLabel(died.first()))));
            }
            if (died.stays() != null) {
                said.add(Message.of("log.died-stays", Message.said(model.pointLabel(died.stays()))));
            }
        } else if (entry instanceof Entry.Visited visited) {
            said.add(Message.of("log.visited-days", new Message.Number(visited.days())));
            if (visited.part() != null) {
                said.add(Message.of("log.visited-part", Message.said(model.part(visited.part()).label())));
            }
            if (visited.reset()) {
                said.add(Message.of("log.visited-reset"));
            }
            if (visited.same()) {
                said.add(Message.of("log.visited-same"));
            }
        }
        return Message.items(Message.Joint.COMMA, said);
    }

    /** The parts that own records make clearly likelier. */
    private Message likelier(Entry.Experience experience) {
        List<Message> parts = IntStream.range(0, experience.parts().size()).boxed().filter(i -> experience.factors().get(i) >= CLEARLY_LIKELIER)
                .sorted(Comparator.comparing((Integer i) -> experience.factors().get(i)).reversed()).limit(MOST_NAMED)
                .flatMap(i -> model.parts().stream().filter(part -> part.id().equals(experience.parts().get(i)))).map(part -> Message.said(part.label())).toList();
        return parts.isEmpty() ? Message.of("log.experience-none") : Message.of("log.experience-likelier", Message.items(Message.Joint.COMMA, parts));
    }

    private Message watched(Line line, Entry.Watched watched) {
        List<Message> missed = line.observations().stream().filter(Observation.NotSeen.class::isInstance)
                .map(o -> channel(((Observation.NotSeen) o).channel())).toList();
        return missed.isEmpty() ? Message.of("log.seconds", new Message.Number(watched.seconds()))
                : Message.of("log.missed-all", Message.items(Message.Joint.COMMA, missed));
    }

    private static Message found(Case now, Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return TestPage.amount(now, reading.test(), reading.value());
        }
        return observation instanceof Observation.Answer answer ? Message.of(answer.yes() ? "yes" : "no") : Message.NOTHING;
    }

    private Message judgement(Entry entry, @org.jspecify.annotations.Nullable Observation first) {
        return entry instanceof Entry.Plate plate ? WorkLines.judgement(model, plate) : judgement(first);
    }

    private Message judgement(@org.jspecify.annotations.Nullable Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return judgement(reading);
        } else if (observation instanceof Observation.Answer answer) {
            boolean bridged = answer.yes() && CommonFailures.looksForABridgedSafety(answer.test());
            return bridged ? Message.of("judgement.bridged") : Message.of("due", due(observation));
        } else if (observation instanceof Observation.Lamp lamp) {
            return lamp.weights().entrySet().stream().max(Map.Entry.comparingByValue())
                    .map(best -> condition(lamp.board(), best.getKey())).orElse(Message.NOTHING);
        }
        return Message.NOTHING;
    }

    private Message judgement(Observation.Reading reading) {
        Judgement judged = Judgement.of(now.unit().pack(), reading);
        Test.Reading test = reading.test();
        Message said = Message.of("judgement." + judged.kind(), TestPage.amount(now, test, judged.nominal().value()));
        return Stamps.of(test).map(stamp -> {
            double typed = now.stamps().value(test, stamp);
            double shown = now.stamps().atTheUnit(test, reading.value());
            boolean degrees = test.mode() == MeterMode.FAHRENHEIT;
            return Message.of(degrees ? "judgement.from-stamp" : "judgement.of-stamp", said, degrees
                    ? new Message.Worked(TradeUnit.DEGREES_APART, shown - typed, 0) : new Message.Number(Math.round(100 * shown / typed)), Message.said(stamp.says()), new Message.Amount(test.mode(), typed));
        }).orElse(said);
    }

    private Message due(@org.jspecify.annotations.Nullable Observation observation) {
        if (observation instanceof Observation.Reading reading) {
            return TestPage.amount(now, reading.test(), Judgement.of(now.unit().pack(), reading).nominal().value());
        }
        return observation instanceof Observation.Answer answer ? TestPage.expected(now, answer.test(), now.unit().pack().predictions()
                .nominal(answer.test())) : Message.NOTHING;
    }

    /** The likeliest patterns of a board's lamp, and none of them. */
    List<CasePage.Weight> weights(String board, LampDecoder.Decoding decoding) {
        List<CasePage.Weight> weights = new ArrayList<>();
        decoding.weights().forEach((pattern, weight) -> weights.add(new CasePage.Weight(new Message.Lamp(pattern.text()),
                condition(board, pattern), weight)));
        weights.add(new CasePage.Weight(Message.of("lamp.none"), Message.of("lamp.count-again"), decoding.none()));
        weights.sort(Comparator.comparingDouble(w -> -w.weight()));
        return weights.stream().limit(MOST_PATTERNS).filter(w -> w.weight() > WORTH_SHOWING).toList();
    }

    /** Of each board the last lamp that still counts, where no chart of it has what it shows; with the codes that differ from it by one flash. */
    List<Message> unknownCodes() {
        Map<String, Message> last = new LinkedHashMap<>();
        for (Line line : now.lines()) {
            if (line.counts() && first(line) instanceof Observation.Lamp lamp) {
                last.put(lamp.board(), unknown(lamp, line.lamp()));
            }
        }
        return last.values().stream().filter(said -> said != Message.NOTHING).toList();
    }

    private Message unknown(Observation.Lamp lamp, LampDecoder.@org.jspecify.annotations.Nullable Decoding decoding) {
        Chart chart = model.chart(lamp.board());
        Message board = Message.said(model.boardLabel(lamp.board()));
        if (decoding != null) {
            return decoding.none() > MOSTLY ? Message.of("lamp.unknown", Message.of("lamp.seen"), board, Message.NOTHING) : Message.NOTHING;
        }
        LampPattern seen = lamp.weights().entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElse(LampPattern.OFF);
        List<Message> near = chart.patterns().stream().filter(seen::miscounted).map(pattern -> Message.of("lamp.near-one", new Message.Lamp(pattern.text()),
                condition(lamp.board(), pattern))).toList();
        return chart.patterns().contains(seen) ? Message.NOTHING : Message.of("lamp.unknown", new Message.Lamp(seen.text()), board,
                near.isEmpty() ? Message.NOTHING : Message.of("lamp.near", Message.items(Message.Joint.SEMICOLON, near)));
    }

    /** What the lamp of a board showed the last time that still counts, where that is one pattern. */
    static Optional<LampPattern> lastLamp(Case now, String board) {
        return now.lines().stream().filter(Line::counts).flatMap(line -> first(line) instanceof Observation.Lamp lamp && lamp.board().equals(board) ? Stream.of(lamp) : Stream.empty())
                .reduce((one, other) -> other).flatMap(lamp -> lamp.weights().entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey));
    }

    private Message condition(String board, LampPattern pattern) {
        return condition(model, board, pattern);
    }

    /** What the chart of a board says of a pattern. */
    static Message condition(UnitModel model, String board, LampPattern pattern) {
        List<Message> meanings = model.chart(board).meanings(pattern).stream().map(Chart.Code::meaning).distinct()
                .map(Message::said).toList();
        return meanings.isEmpty() ? Message.of("lamp.not-on-chart") : Message.items(Message.Joint.OR, meanings);
    }

    private Message channel(String id) {
        return Message.said(model.channels().stream().filter(c -> c.id().equals(id)).findFirst()
                .map(UnitModel.Channel::label).orElse(id));
    }
}
