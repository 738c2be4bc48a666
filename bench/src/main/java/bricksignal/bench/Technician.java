package bricksignal.bench;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Machine;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.SettingTest;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Measures a virtual unit with one fault in it, or two, or an intermittent one, after habits of his own. The values of the unit itself differ from those of the model within the parts' tolerance. Repairs take the
 * fault of a part out.
 */
final class Technician {

    /** Of what a customer tells unasked one thing of twelve is not so. */
    private static final double WRONG_OF_WHAT_IS_TOLD = 1.0 / 12;
    private static final double HALF = 0.5;
    private static final double FAILING = 0.9;
    private static final double GHOST_OHMS = 200e3;
    private static final double TAP_LATE = 0.8;
    private static final double TAP_SPREAD = 1;
    private static final double SUPPLY_TOLERANCE = 0.02;
    private static final double PART_TOLERANCE = 0.05;

    private final CompiledPack pack;
    private final UnitModel model;
    private final Hypothesis truth;
    private final Random random;
    private final VirtualUnit nominal;
    private final Set<String> repaired = new LinkedHashSet<>();
    private final Set<String> renewed = new LinkedHashSet<>();
    private final Map<String, VirtualUnit> units = new LinkedHashMap<>();
    private final Map<String, Double> moments = new LinkedHashMap<>();
    private final Machine machine;
    private final Habits habits;
    private final double extent;
    private boolean failing;

    Technician(CompiledPack pack, HypothesisId truth, long seed) {
        this.pack = pack;
        this.model = pack.model();
        this.truth = pack.space().get(truth);
        this.random = new Random(seed);
        this.machine = varied(model.machine());
        this.nominal = VirtualUnit.of(model, machine);
        this.habits = Habits.KNOWN;
        this.extent = 1;
    }

    /**
     * Somebody else, at a unit that is not the one of the pack.
     *
     * @param extent how far the fault has gone on its way to what the pack says of it, above 0, at most 1
     */
    Technician(CompiledPack pack, HypothesisId truth, Random random, UnitModel kind, Machine machine, Habits habits, double extent) {
        this.pack = pack;
        this.model = kind;
        this.truth = pack.space().get(truth);
        this.random = random;
        this.machine = machine;
        this.nominal = VirtualUnit.of(kind, machine);
        this.habits = habits;
        this.extent = extent;
    }

    Hypothesis truth() {
        return truth;
    }

    /** Takes the fault of a part out of the unit, if it has one. */
    void repair(String part) {
        repaired.add(part);
        renewed.addAll(model.part(part).elements());
    }

    /** The faults that are still in the unit. */
    List<Fault> left() {
        List<Fault> left = new ArrayList<>();
        for (Fault fault : truth.faults()) {
            if (!fault.effects().isEmpty() && !repaired.contains(fault.part())) {
                left.add(fault);
            }
        }
        return left;
    }

    /** What the customer tells, and then every lamp of the unit as found. */
    List<Observation> found(Random customer) {
        List<Test.Check> questions = pack.catalogue().tests().stream().filter(CustomerTest::asks).map(Test.Check.class::cast).collect(Collectors.toCollection(ArrayList::new));
        List<Observation> found = new ArrayList<>();
        if (habits.told() < 0) {
            questions.forEach(question -> found.add(new Observation.Unable(question, Obstacle.TOOL)));
        }
        Collections.shuffle(questions, customer);
        for (int i = 0; i < habits.told(); i++) {
            boolean right = customer.nextDouble() >= WRONG_OF_WHAT_IS_TOLD;
            questions.stream().filter(question -> told(question) > HALF == right).findFirst().ifPresent(question -> {
                questions.remove(question);
                found.add(new Observation.Answer(question, true));
            });
        }
        found.addAll(lamps());
        return found;
    }

    /** Every lamp of the unit as found. */
    List<Observation> lamps() {
        boolean present = present();
        return pack.model().charts().keySet().stream().filter(board -> random.nextDouble() >= habits.noLamp())
                .map(board -> lamp(board, present)).toList();
    }

    private Observation lamp(String board, boolean present) {
        List<LampPattern> chart = pack.model().chart(board).patterns();
        LampPattern seen = chart.get(random.nextInt(chart.size()));
        if (random.nextDouble() >= habits.wrongLamp()) {
            double at = random.nextDouble();
            Map<LampPattern, Double> shares = unit(present).usualRun().lampShares(board, model.found().from(), model.found().to());
            for (Map.Entry<LampPattern, Double> share : shares.entrySet()) {
                at -= share.getValue();
                if (at <= 0) {
                    seen = share.getKey();
                    break;
                }
            }
        }
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        chart.forEach(pattern -> weights.put(pattern, 0.0));
        weights.put(seen, 1.0);
        return new Observation.Lamp(board, weights, false);
    }

    /** Whether a question is left unanswered. */
    boolean skips(Test test) {
        return test instanceof Test.Check && random.nextDouble() < habits.skips();
    }

    /** What a test brings: one reading or answer, or all that was seen of a sequence. */
    List<Observation> make(Test test) {
        return test instanceof Test.Sequence ? watch() : List.of(measure(test));
    }

    /** A watched run as somebody taps it who is a little late. */
    private List<Observation> watch() {
        List<Observation> seen = pack.seenOf(unit(present()));
        double longest = model.found().from();
        return seen.stream().map(one -> one instanceof Observation.Event event ? new Observation.Event(event.channel(),
                event.begins(), random.nextDouble() < habits.misread() ? random.nextDouble() * longest
                : Math.max(0, event.afterCall() + TAP_LATE + TAP_SPREAD * random.nextGaussian())) : one).toList();
    }

    private Observation measure(Test test) {
        Moment moment = model.moment(test.moment());
        Optional<String> renews = test instanceof Test.Check check ? check.renews() : Optional.empty();
        renews.ifPresent(renewed::add);
        VirtualUnit unit = unit(present());
        double at = unit.comesTo(moment).orElseGet(() -> due(moment));
        boolean misread = random.nextDouble() < (test instanceof Test.Check ? habits.wrongAnswer() : habits.misread());
        if (test instanceof Test.Check check) {
            boolean yes = random.nextDouble() < chance(check, moment, unit, at);
            failing |= yes && !misread && (check.sense() == Test.Sense.WARM || check.sense() == Test.Sense.CYCLES);
            renews.filter(element -> !yes).ifPresent(renewed::remove);
            return new Observation.Answer(check, yes != misread);
        }
        Test.Reading reading = (Test.Reading) test;
        VirtualUnit.Shown shown = unit.read(reading, moment.scenario(), at);
        double ghost = shown.sourceOhms() > GHOST_OHMS ? habits.ghost() : 1;
        double value = shown.value() * ghost * (1 + habits.noise() * random.nextGaussian());
        return new Observation.Reading(reading, misread ? wrong(reading.mode()) : value);
    }

    /** What a check tells of a fault by the pack's probability, what it asks of the process by the unit itself. */
    private double chance(Test.Check check, Moment moment, VirtualUnit unit, double at) {
        if (check.sense().onlyAsks()) {
            return told(check);
        }
        double told = -1;
        for (Fault fault : left()) {
            told = Math.max(told, check.tells().getOrDefault(fault.id(), -1.0));
        }
        if (told >= 0) {
            return told;
        }
        if (check.when() == null) {
            return check.otherwise();
        }
        if (SettingTest.looksAtASetting(check)) {
            return moved(check) ? 1 - check.otherwise() : check.otherwise();
        }
        double share = unit.share(check.when(), moment.scenario(), at, moment.span());
        return check.otherwise() + share * (1 - 2 * check.otherwise());
    }

    /** What people say who know the unit: by the pack. */
    private double told(Test.Check question) {
        boolean gone = left().isEmpty();
        HypothesisId id = gone ? pack.space().nothing() : truth.faults().size() > 1 && left().size() == 1 ? pack.space().single(left().get(0).id()) : truth.id();
        return ((Prediction.Chance) pack.predictions().of(question, id)).yes();
    }

    /** Whether a switch stands elsewhere than it left the factory, whatever times this board makes of it. */
    private boolean moved(Test.Check look) {
        Set<String> named = Objects.requireNonNull(look.when()).names();
        return left().stream().flatMap(fault -> fault.effects().stream())
                .anyMatch(effect -> effect instanceof Effect.OnParameter on && named.contains(on.parameter()));
    }

    /** When a moment comes in this unit in good order. */
    private double due(Moment moment) {
        return moments.computeIfAbsent(moment.id(), id -> nominal.secondsOf(moment));
    }

    private boolean present() {
        return !truth.intermittent() || random.nextDouble() < (failing ? FAILING : truth.duty());
    }

    /** The unit with the faults that are left in it, or without any; what they took with them is gone until it is renewed. */
    private VirtualUnit unit(boolean present) {
        return unit(present, gone());
    }

    private Set<String> gone() {
        Set<String> gone = new LinkedHashSet<>();
        if (!left().isEmpty()) {
            gone.addAll(pack.runs().damage(truth.id()));
            gone.removeAll(renewed);
        }
        return gone;
    }

    private VirtualUnit unit(boolean present, Set<String> gone) {
        List<Fault> faults = present ? left().stream().filter(fault -> !cured(fault)).toList() : List.of();
        if (faults.isEmpty() && gone.isEmpty()) {
            return nominal;
        }
        return units.computeIfAbsent(faults.toString() + gone, key -> {
            Machine faulty = machine;
            for (Fault fault : faults) {
                faulty = (extent < 1 ? fault.partly(machine, extent).orElse(fault) : fault).in(faulty);
            }
            for (String element : gone) {
                faulty = new Effect.OnElement(element, Effect.Mode.OPEN, 0).apply(faulty);
            }
            return VirtualUnit.of(model, faulty);
        });
    }

    /** A fuse that was open by itself, once a new one is in. */
    private boolean cured(Fault fault) {
        return pack.space().cured(fault, renewed);
    }

    /** Supplies and parts a little off, as in any real unit. */
    private Machine varied(Machine asDeclared) {
        Machine varied = asDeclared;
        for (Element element : asDeclared.circuit().elements()) {
            if (element instanceof Element.Source s && s.ohms() < 1000) {
                varied = varied.withElement(new Element.Source(s.id(), s.plus(), s.minus(), s.volts() * off(SUPPLY_TOLERANCE),
                        s.degrees(), s.ohms()));
            } else if (element instanceof Element.Load l && l.reactanceOhms() >= 0 && l.ohms() < 1000) {
                varied = varied.withElement(l.scaled(off(PART_TOLERANCE)));
            } else if (element instanceof Element.Capacitor c && c.farads() > 1e-7) {
                varied = varied.withElement(new Element.Capacitor(c.id(), c.a(), c.b(), c.farads() * off(PART_TOLERANCE)));
            }
        }
        return varied;
    }

    private double off(double tolerance) {
        return 1 + tolerance * (2 * random.nextDouble() - 1);
    }

    private double wrong(MeterMode mode) {
        double most = switch (mode) {
            case AC_VOLTS, AC_VOLTS_LOW_Z, DC_VOLTS -> 125;
            case OHMS -> 500;
            case INCHES_WC -> 2;
            case FAHRENHEIT -> 250;
            case RPM -> 5000;
            default -> 15;
        };
        return mode == MeterMode.OHMS && random.nextBoolean() ? Double.POSITIVE_INFINITY : random.nextDouble() * most;
    }
}
