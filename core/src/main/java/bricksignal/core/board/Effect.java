package bricksignal.core.board;

import bricksignal.core.Known;
import bricksignal.core.circuit.Element;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a fault does to a machine. */
public sealed interface Effect {

    /** The machine with the fault in it. */
    Machine apply(Machine machine);

    /**
     * The same gone a share of its way, on the scale on which it goes; empty where it is there or is not: a broken wire, a part in place or out.
     *
     * @param nominal the machine in good order
     * @param share of the way, above 0, at most 1
     */
    default Optional<Effect> partly(Machine nominal, double share) {
        return Optional.empty();
    }

    /** How an element fails. */
    enum Mode {
        /** Conducts no more: broken wire, open coil, contact that does not make, winding open. */
        OPEN,
        /** Conducts always: welded contact, switch stuck closed, two wires touching. */
        CLOSED,
        /** Conducts through a resistance, ohms: corroded pin, dirty rod. */
        RESISTIVE,
        /** A load that has become a short. */
        SHORTED,
        /** Its value times a factor: weak capacitor, aged igniter, the inner resistance of a weak transformer. */
        SCALED
    }

    /**
     * An element fails.
     *
     * @param value ohms for RESISTIVE and SHORTED, a factor for SCALED, otherwise ignored
     */
    record OnElement(String element, Mode mode, double value) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            Element e = machine.circuit().element(element);
            return switch (mode) {
                case OPEN -> machine.withStuck(opened(e));
                case CLOSED -> machine.withStuck(conductor(e).closed(true));
                case RESISTIVE -> machine.withElement(resistive(conductor(e)));
                case SHORTED -> machine.withElement(shorted(e));
                case SCALED -> machine.withElement(scaled(e));
            };
        }

        @Override
        public Optional<Effect> partly(Machine nominal, double share) {
            return switch (mode) {
                case SCALED -> Optional.of(new OnElement(element, mode, Math.pow(value, share)));
                case RESISTIVE -> Optional.of(new OnElement(element, mode, value * share));
                case OPEN, CLOSED, SHORTED -> Optional.empty();
            };
        }

        private Element opened(Element e) {
            if (e instanceof Element.Conductor c) {
                return c.closed(false);
            } else if (e instanceof Element.Load l) {
                return new Element.Load(l.id(), l.a(), l.b(), Double.POSITIVE_INFINITY, l.reactanceOhms());
            } else if (e instanceof Element.Transformer t) {
                return new Element.Transformer(t.id(), t.p1(), t.p2(), t.s1(), t.s2(), t.ratio(), t.ohms(), t.primaryOhms(),
                        true);
            } else if (e instanceof Element.Capacitor c) {
                return new Element.Capacitor(c.id(), c.a(), c.b(), 0);
            }
            throw cannot();
        }

        private Element.Conductor conductor(Element e) {
            if (e instanceof Element.Conductor c) {
                return c;
            }
            throw cannot();
        }

        private Element resistive(Element.Conductor c) {
            return new Element.Conductor(c.id(), c.a(), c.b(), value, c.closed(), c.fuseAmps());
        }

        private Element shorted(Element e) {
            if (e instanceof Element.Load l) {
                return new Element.Load(l.id(), l.a(), l.b(), value, 0);
            }
            throw cannot();
        }

        private Element scaled(Element e) {
            if (e instanceof Element.Load l) {
                return l.scaled(value);
            } else if (e instanceof Element.Capacitor c) {
                return new Element.Capacitor(c.id(), c.a(), c.b(), c.farads() * value);
            } else if (e instanceof Element.Source s) {
                return new Element.Source(s.id(), s.plus(), s.minus(), s.volts() * value, s.degrees(), s.ohms());
            } else if (e instanceof Element.DirectSource s) {
                return new Element.DirectSource(s.id(), s.plus(), s.minus(), s.volts() * value, s.ohms());
            } else if (e instanceof Element.Transformer t) {
                return new Element.Transformer(t.id(), t.p1(), t.p2(), t.s1(), t.s2(), t.ratio(), t.ohms() * value, t.primaryOhms(), t.open());
            }
            throw cannot();
        }

        private IllegalArgumentException cannot() {
            return new IllegalArgumentException("element '" + element + "' cannot fail as " + mode);
        }
    }

    /**
     * A winding or a heater has broken through to its shell: a conductor that the unit in good order does not have.
     *
     * @param load the element whose first terminal touches
     * @param shell the net of the bare metal
     * @param ohms of the breakdown, at least 0
     */
    record Grounded(String load, String shell, double ohms) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            String touches = machine.circuit().element(load).nets().get(0);
            return machine.withMore(new Element.Conductor("shell." + load, touches, shell, ohms, true, Double.POSITIVE_INFINITY));
        }
    }

    /** A parameter has another value: vent blocked, filter dirty, gas cock shut, switch set wrong. */
    record OnParameter(String parameter, double value) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            return machine.withParameter(parameter, value);
        }

        @Override
        public Optional<Effect> partly(Machine nominal, double share) {
            double sound = Known.in(nominal.parameters(), parameter);
            return yesOrNo(sound) && yesOrNo(value) ? Optional.empty() : Optional.of(new OnParameter(parameter, sound + (value - sound) * share));
        }

        private static boolean yesOrNo(double value) {
            return value == 0 || value == 1;
        }
    }

    /** An action has no effect but this: nobody calls, the breaker is off. */
    record OnAction(String action, double value) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            return machine.withHeld(action, value);
        }
    }

    /** A board's logic does not work although it is fed. */
    record BoardDead(String board) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            Board b = machine.board(board);
            return machine.withBoard(new Board(b.id(), b.supplyPlus(), b.supplyMinus(), Double.POSITIVE_INFINITY, b.inputs(),
                    b.regions()));
        }
    }

    /**
     * A board holds still: outputs held, inputs unheeded, its lamp as it was.
     *
     * @param region the region that holds still from a state on; empty where all hold still as they are when power comes
     * @param state the state that it does not leave
     */
    record BoardFrozen(String board, String region, String state) implements Effect {

        /** From the moment at which power comes. */
        public BoardFrozen(String board) {
            this(board, "", "");
        }

        @Override
        public Machine apply(Machine machine) {
            Board b = machine.board(board);
            List<Region> still = b.regions().stream().map(r -> new Region(r.id(), r.states().stream().map(s -> held(r, s)
                    ? new Region.State(s.id(), s.outputs(), s.lamp(), List.of()) : s).toList())).toList();
            return machine.withBoard(new Board(b.id(), b.supplyPlus(), b.supplyMinus(), b.supplyVolts(), b.inputs(), still));
        }

        private boolean held(Region r, Region.State s) {
            return region.isEmpty() || region.equals(r.id()) && state.equals(s.id());
        }
    }

    /** A board does not see one of its inputs. */
    record InputDeaf(String input) implements Effect {
        @Override
        public Machine apply(Machine machine) {
            Board b = machine.boards().stream().filter(board -> board.senses(input)).findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("no board has an input '" + input + "'"));
            List<Input> inputs = new ArrayList<>();
            b.inputs().forEach(i -> inputs.add(i.id().equals(input) ? deaf(i) : i));
            return machine.withBoard(new Board(b.id(), b.supplyPlus(), b.supplyMinus(), b.supplyVolts(), inputs,
                    b.regions()));
        }

        private static Input deaf(Input input) {
            double never = Double.POSITIVE_INFINITY;
            return input instanceof Input.Voltage v ? new Input.Voltage(v.id(), v.plus(), v.minus(), never, v.off())
                    : new Input.FlameCurrent(input.id(), ((Input.FlameCurrent) input).element(), never, input.off());
        }
    }
}
