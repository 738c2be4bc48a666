package bricksignal.server.learning;

/** When a visit came back: the next one to the unit was opened within thirty days after it was closed (common practice). */
public final class CallBack {

    /** The same in SQL, of a visit {@code v} and {@code v.next_opened}, when the next one to its unit was opened. */
    public static final String CAME = "v.next_opened > v.closed_at and v.next_opened <= v.closed_at + interval '30 days'";

    private CallBack() {
    }
}
