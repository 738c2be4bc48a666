package bricksignal.bench;

/**
 * How one visit ended.
 *
 * @param right the part at fault, or its indistinguishable group, was named (for a policy that replaces: named first)
 * @param falseBoard a board was condemned that was sound
 * @param tests tests made
 * @param minutes of measuring and replacing
 * @param cost in the pack's currency, parts and labour and trips until the unit runs
 * @param probability that the verdict was given
 */
record Outcome(boolean right, boolean falseBoard, int tests, double minutes, double cost, double probability) {
}
