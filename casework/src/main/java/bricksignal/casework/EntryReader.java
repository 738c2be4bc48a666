package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.circuit.solve.Meter;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.TypedReading;
import bricksignal.core.lamp.LampDecoder;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Tells what an entry says of a unit. */
final class EntryReader {

    private final CompiledPack pack;
    private final UnitModel model;
    private final Stamps stamps;

    EntryReader(CompiledPack pack, Stamps stamps) {
        this.pack = pack;
        this.model = pack.model();
        this.stamps = stamps;
    }

    /** What an entry tells: observations, and how a lamp was read. */
    record Told(List<Observation> observations, LampDecoder.@Nullable Decoding lamp) {

        private static final Told NOTHING = new Told(List.of(), null);

        private static Told of(Observation observation) {
            return new Told(List.of(observation), null);
        }
    }

    /**
     * Reads an entry.
     *
     * @param run what was entered of the run that is being watched, the entry itself not among it
     * @throws Refused if it makes no sense for this unit
     */
    Told read(Entry entry, List<Entry> run) {
        if (entry instanceof Entry.Earlier earlier) {
            Told told = read(earlier.what(), run);
            return new Told(told.observations().stream().map(seen -> (Observation) new Observation.Earlier(seen, earlier.when())).toList(),
                    told.lamp());
        } else if (entry instanceof Entry.OfALamp lamp) {
            return lamp(lamp);
        } else if (entry instanceof Entry.OfAReading reading) {
            return Told.of(reading(reading));
        } else if (entry instanceof Entry.Answer answer) {
            return Told.of(answer(answer));
        } else if (entry instanceof Entry.Unable unable) {
            return Told.of(new Observation.Unable(test(unable.test()), unable.why()));
        } else if (entry instanceof Entry.Stamped stamped) {
            stamp(stamped);
        } else if (entry instanceof Entry.Seen seen) {
            channel(seen.channel());
            return Told.of(new Observation.Event(seen.channel(), seen.begins(), seen.seconds()));
        } else if (entry instanceof Entry.Missed missed) {
            channel(missed.channel());
            return Told.of(new Observation.NotSeen(missed.channel(), missed.seconds()));
        } else if (entry instanceof Entry.Watched watched) {
            return new Told(missed(run, watched.seconds()).stream().map(channel -> (Observation) new Observation.NotSeen(
                    channel.id(), watched.seconds())).toList(), null);
        } else if (entry instanceof Entry.Twin twin) {
            return Told.of(new Observation.Twin(twin.alike(), twin.sameKind()));
        } else if (entry instanceof Entry.Died died) {
            point("first", died.first());
            point("stays", died.stays());
            return Told.of(new Observation.Died(died.minutes(), died.first(), died.stays()));
        } else if (entry instanceof Entry.Visited visited) {
            String part = visited.part();
            if (part != null) {
                Refused.beside("part", () -> model.part(part));
            }
            return Told.of(new Observation.Visited(visited.days(), visited.part(), visited.reset(), visited.same()));
        } else if (entry instanceof Entry.Experience experience) {
            return Told.of(new Observation.Experience(factors(experience)));
        } else if (entry instanceof Entry.Repaired repaired) {
            Refused.beside("part", () -> model.part(repaired.part()));
            return Told.of(new Observation.Repaired(repaired.part()));
        } else if (entry instanceof Entry.SetTo set) {
            position("found", set.setting(), set.found());
            position("left", set.setting(), set.left());
        } else if (entry instanceof Entry.OfCommissioning step) {
            return Told.of(new Observation.Experience(Commissioning.factors(model, step)));
        } else if (entry instanceof Entry.OfTheWork work) {
            work(work);
        } else if (entry instanceof Entry.ChangeIn change && change.test() != null) {
            change(change.test());
        }
        return Told.NOTHING;
    }

    private void work(Entry.OfTheWork work) {
        if (work instanceof Entry.Lent lent) {
            Refused.beside("part", () -> model.part(lent.part()));
        } else if (work instanceof Entry.Allowed allowed) {
            Refused.beside("part", () -> model.part(allowed.part()));
        } else if (work instanceof Entry.Ordered ordered) {
            Refused.beside("part", () -> model.part(ordered.part()));
        } else if (work instanceof Entry.Along along) {
            Refused.beside("part", () -> model.part(along.part()));
        } else if (work instanceof Entry.Figure figure) {
            String what = figure.what();
            if (what.startsWith(Figures.PRICE)) {
                Refused.beside("what", () -> model.part(what.substring(Figures.PRICE.length())));
            } else if (!Figures.NAMES.contains(what)) {
                throw new Refused("what", Message.of("entry.no-figure", Message.said(what), Message.said(String.join(", ", Figures.NAMES))));
            }
        }
    }

    private void position(String field, String id, String position) {
        UnitModel.Setting setting = Refused.beside("setting", () -> model.setting(id));
        UnitModel.Range range = setting.range();
        if (range != null && !setting.options().containsKey(position)) {
            throw new Refused(field, Message.of("entry.no-number", Message.said(setting.label()), Message.said(position), new Message.Number(range.least()),
                    new Message.Number(range.most()), new Message.Number(range.step()), Message.said(setting.unit())));
        }
        if (!setting.options().containsKey(position)) {
            throw new Refused(field, Message.of("entry.no-position", Message.said(setting.label()), Message.said(position),
                    Message.said(String.join(", ", setting.options().keySet()))));
        }
    }

    /** The tests that an entry of what was measured or answered now is about. */
    List<Test> tests(Entry entry) {
        return entry instanceof Entry.OfAReading || entry instanceof Entry.Answer ? read(entry, List.of()).observations().stream().flatMap(seen -> seen.about().stream())
                .toList() : List.of();
    }

    /** The test of that name, whatever it is. */
    Test test(String id) {
        return Refused.beside("test", () -> pack.catalogue().test(id));
    }

    /** What is put into the unit for a test, or a change that its circuit allows, by the id of either. */
    Message change(String test) {
        Change allowed = pack.catalogue().safety().allowed().get(test);
        if (allowed != null) {
            return allowed.says();
        }
        if (!(test(test) instanceof Test.Check check) || !check.change().made()) {
            throw new Refused("test", Message.of("entry.no-change"));
        }
        return check.change().says();
    }

    /** The board whose lamp an entry is about: where it names none, the first. */
    String board(Entry.OfALamp lamp) {
        String board = lamp.board();
        if (board == null) {
            return model.charts().keySet().iterator().next();
        }
        Refused.beside("board", () -> model.chart(board));
        return board;
    }

    /** What should have come by a time of a watched run, is seen or heard by a person, and was neither seen nor said to be missing. */
    List<UnitModel.Channel> missed(List<Entry> run, double until) {
        Set<String> said = new LinkedHashSet<>();
        for (Entry entry : run) {
            if (entry instanceof Entry.Seen seen) {
                said.add(seen.channel());
            } else if (entry instanceof Entry.Missed missed) {
                said.add(missed.channel());
            }
        }
        return pack.seenInSequence().stream().filter(channel -> !said.contains(channel.id())
                && SequenceModel.of(pack, channel.id()).edges(pack.space().nothing(), true).stream().findFirst()
                .filter(due -> SequenceModel.lateAfter(due) < until).isPresent()).toList();
    }

    private void point(String field, @Nullable String net) {
        if (net != null) {
            Refused.beside(field, () -> model.point(net));
        }
    }

    private void channel(String id) {
        Refused.beside("channel", () -> model.channel(id));
    }

    private Told lamp(Entry.OfALamp lamp) {
        String board = board(lamp);
        List<LampPattern> chart = model.chart(board).patterns();
        if (lamp instanceof Entry.Pattern told) {
            LampPattern seen = Refused.beside("pattern", () -> LampPattern.parse(told.pattern()));
            Map<LampPattern, Double> weights = new LinkedHashMap<>();
            chart.forEach(pattern -> weights.put(pattern, 0.0));
            weights.put(seen, 1.0);
            return Told.of(new Observation.Lamp(board, weights, false));
        }
        if (lamp instanceof Entry.Film) {
            throw new Refused("", Message.of("entry.film-only"));
        }
        boolean tapped = lamp instanceof Entry.Tapped;
        Sighting sighting = lamp instanceof Entry.Tapped taps ? taps.taps().sighting() : ((Entry.Filmed) lamp).sighting();
        LampDecoder.Decoding decoding = Refused.beside(tapped ? "taps" : "trace", () -> LampDecoder.decode(sighting, chart));
        return new Told(List.of(new Observation.Lamp(board, decoding.weights(), false)), decoding);
    }

    private Observation reading(Entry.OfAReading entry) {
        Test.Reading test = entry instanceof Entry.TestReading asked ? asked(asked.test()) : free((Entry.FreeReading) entry);
        double value = Refused.beside("reading", () -> TypedReading.parse(test.mode(), entry.reading()));
        return new Observation.Reading(test, stamps.inThePack(test, value));
    }

    /** What was typed off the parts with one more; as it was where this unit does not understand it. */
    Stamps and(Stamps before, Entry.Stamped entry) {
        try {
            return before.and(entry.test(), stamp(entry));
        } catch (Refused refused) {
            return before;
        }
    }

    /** What is typed off a part, in the unit of the reading that is judged against it. */
    private double stamp(Entry.Stamped entry) {
        Test.Reading test = asked(entry.test());
        double value = Refused.beside("value", () -> TypedReading.parse(test.mode(), entry.value()));
        if (Stamps.of(test).isEmpty()) {
            throw new Refused("test", Message.of("entry.no-stamp", test.label()));
        } else if (!(value > 0 && Double.isFinite(value))) {
            throw new Refused("value", Message.of("entry.stamp-above-nothing", Message.said(entry.value())));
        }
        return value;
    }

    private Test.Reading asked(String id) {
        if (test(id) instanceof Test.Reading reading) {
            return reading;
        }
        throw new Refused("test", Message.of("entry.is-a-check", Message.said(id)));
    }

    private Observation answer(Entry.Answer answer) {
        if (test(answer.test()) instanceof Test.Check check) {
            return new Observation.Answer(check, answer.yes());
        }
        throw new Refused("test", Message.of("entry.is-a-reading", Message.said(answer.test())));
    }

    private Test.Reading free(Entry.FreeReading entry) {
        Refused.beside("red", () -> model.point(entry.red()));
        String black = entry.black() == null ? model.point(entry.red()).against() : entry.black();
        Refused.beside("black", () -> model.point(black));
        Moment moment = Refused.beside("moment", () -> model.moment(entry.moment()));
        if (black.equals(entry.red())) {
            throw new Refused("red", Message.of("entry.same-point", Message.said(model.point(black).label())));
        }
        Setup setup = new Setup(entry.mode().dead(), List.of());
        Test.Reading test = Refused.beside("mode", () -> pack.catalogue().free(entry.mode(), new Place.Across(black, entry.red()),
                moment.id(), setup));
        if (entry.mode().dead()) {
            dead(test, black, entry.red(), moment);
        }
        pack.catalogue().safety().forbids(test).ifPresent(why -> {
            throw new Refused("red", Message.of("entry.forbidden", why));
        });
        return test;
    }

    /** A meter on ohms stands on a unit that is off and proven off, and never on a live circuit. */
    private void dead(Test.Reading test, String black, String red, Moment moment) {
        Message mode = Message.of("mode." + test.mode());
        Solution nominal = pack.nominal().run(moment.scenario()).at(pack.catalogue().seconds(moment.id())).unit().solution();
        if (Meter.hazard(nominal, test.mode(), black, red)) {
            throw new Refused("moment", Message.of("entry.hazard", Message.said(model.point(black).label()),
                    Message.said(model.point(red).label()), mode));
        }
        if (moment.role() != Moment.Role.POWER_OFF && !model.powerOff().isEmpty()) {
            throw new Refused("moment", Message.of("entry.not-off", mode, Message.said(model.powerOff().get(0).label())));
        }
    }

    /** An entry of a kind that is shown as it is: it tells nothing. */
    static Filed unread(Filed filed, Refused why) {
        return filed.with(new Entry.Unread(EntryFormat.kind(filed.entry()), String.valueOf(filed.entry()),
                String.valueOf(why.getMessage())));
    }

    private static Map<String, Double> factors(Entry.Experience experience) {
        Map<String, Double> factors = new LinkedHashMap<>();
        for (int i = 0; i < experience.parts().size(); i++) {
            factors.put(experience.parts().get(i), experience.factors().get(i));
        }
        return factors;
    }
}
