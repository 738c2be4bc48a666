package bricksignal.core.wiring;

/** What a control terminal asks for. The colour is common practice for the conductor that carries it. */
public enum Function {
    COOL("yellow"), COOL_SECOND("light blue"), HEAT("white"), HEAT_SECOND("brown"), FAN("green"), REVERSE("orange"), DRY("violet"), SHUT_DOWN("gray");

    private final String colour;

    Function(String colour) {
        this.colour = colour;
    }

    public String colour() {
        return colour;
    }
}
