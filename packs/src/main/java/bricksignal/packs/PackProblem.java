package bricksignal.packs;

/**
 * Something in a pack that cannot be used.
 *
 * @param line where it stands, from 1; 0 if unknown
 * @param path where it stands, as a JSON pointer
 * @param reason what is wrong, with the offending value
 * @param remedy what to do
 */
public record PackProblem(int line, String path, String reason, String remedy) {

    @Override
    public String toString() {
        return "line " + line + ", " + path + ": " + reason + ". " + remedy;
    }
}
