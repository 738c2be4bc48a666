package bricksignal.server.problem;

/** An entry that one person made is sent with the session of another. */
public class OfSomebodyElse extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** By the login of who made it. */
    public OfSomebodyElse(String madeBy) {
        super("This was entered by '" + madeBy + "'. It waits on this device and is sent when '" + madeBy + "' logs in here.");
    }
}
