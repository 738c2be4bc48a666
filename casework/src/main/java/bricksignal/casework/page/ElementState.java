package bricksignal.casework.page;

/**
 * How something drawn stands.
 *
 * @param closed whether it conducts in a healthy unit at the moment; true for what always does
 * @param suspected probability that it is the cause, 0 to 1; 0 where that is not worth marking
 * @param sound true where what was found has ruled it out
 */
public record ElementState(boolean closed, double suspected, boolean sound) {
}
