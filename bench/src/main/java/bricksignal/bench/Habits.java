package bricksignal.bench;

/**
 * How somebody measures and answers.
 *
 * @param noise of the meter, relative, one sigma
 * @param misread share of readings that are simply wrong, 0 to 1
 * @param wrongAnswer share of looks that are answered wrongly, 0 to 1
 * @param wrongLamp share of lamps that are read as another pattern, 0 to 1
 * @param noLamp share of lamps that are not read at all, or by a chart that does not fit, 0 to 1
 * @param skips share of questions that are not answered, 0 to 1
 * @param ghost a voltage on an open conductor, times this: by the meter's own impedance
 * @param told how many things the customer tells before anybody looks; negative where there is nobody to ask
 */
record Habits(double noise, double misread, double wrongAnswer, double wrongLamp, double noLamp, double skips, double ghost, int told) {

    /** Of somebody whom the engine knows: what its error model expects. */
    static final Habits KNOWN = new Habits(0.01, 0.02, 0.02, 0.02, 0, 0, 1, 0);

    /** Of a stranger. */
    static Habits stranger(double ghost, int told) {
        return new Habits(0.015, 0.03, 0.05, 0.03, 0.1, 0.2, ghost, told);
    }
}
