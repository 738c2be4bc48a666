package bricksignal.server.supply;

/** The supplier did not answer, with the reason as a person may read it. */
public final class SupplierAway extends RuntimeException {

    private static final long serialVersionUID = 1L;

    SupplierAway(String why, Throwable cause) {
        super(why, cause);
    }
}
