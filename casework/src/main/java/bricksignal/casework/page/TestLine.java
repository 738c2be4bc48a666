package bricksignal.casework.page;

import bricksignal.core.words.Message;

/**
 * A test in a list.
 *
 * @param instruction what to do
 * @param mode setting of the meter; empty for a check
 * @param moment when, as told to a person
 */
public record TestLine(String id, Message instruction, Message mode, Message moment, double minutes) {
}
