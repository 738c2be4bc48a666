package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;

/** Tests and values in a technician's words, made from the model. */
public final class Wording {

    private Wording() {
    }

    /** What to do for a test. */
    public static String instruction(UnitModel model, Test test) {
        if (!(test instanceof Test.Reading reading)) {
            return test.label();
        }
        if (reading.place() instanceof Place.Across across) {
            return "black on " + model.point(across.black()).label() + " · red on " + model.point(across.red()).label();
        }
        return reading.label().equals(model.moment(reading.moment()).label()) ? place(reading.place()) : reading.label();
    }

    /** The setting of the meter in words. */
    public static String mode(MeterMode mode) {
        return switch (mode) {
            case AC_VOLTS -> "AC volts";
            case AC_VOLTS_LOW_Z -> "AC volts, low impedance";
            case DC_VOLTS -> "DC volts";
            case OHMS -> "ohms";
            case DC_MICROAMPS -> "DC microamps, in series";
            case CLAMP_AMPS -> "clamp, AC amps";
            case CLAMP_DC_AMPS -> "clamp, DC amps";
            case MICROFARADS -> "capacitance";
            case INCHES_WC -> "manometer";
            case FAHRENHEIT -> "thermometer";
        };
    }

    /** A prediction as it would be read. */
    public static String expected(Test test, Prediction prediction) {
        if (prediction instanceof Prediction.Chance chance) {
            return chance.yes() >= 0.5 ? "yes" : "no";
        }
        if (prediction instanceof Prediction.Choice choice) {
            return choice.likeliest();
        }
        return value(((Test.Reading) test).mode(), ((Prediction.Number) prediction).mean());
    }

    /** A value with its unit, as precise as a display. */
    public static String value(MeterMode mode, double value) {
        return Double.isInfinite(value) ? "OL (open)" : number(value) + " " + mode.unit();
    }

    /** A number to three figures or so, without exponent below ten million. */
    public static String number(double value) {
        double size = Math.abs(value);
        double step = size >= 100 ? 1 : size >= 10 ? 0.1 : 0.01;
        double rounded = Math.round(value / step) * step;
        if (rounded == 0) {
            return "0";
        }
        long hundredths = Math.round(Math.abs(rounded) * 100);
        String text = String.valueOf(hundredths / 100);
        long rest = hundredths % 100;
        if (rest != 0) {
            text += "." + (rest < 10 ? "0" : "") + (rest % 10 == 0 ? rest / 10 : rest);
        }
        return rounded < 0 ? "-" + text : text;
    }

    private static String place(Place place) {
        return place instanceof Place.Through through ? "through " + through.element()
                : "gauge on " + ((Place.Gauge) place).quantity();
    }
}
