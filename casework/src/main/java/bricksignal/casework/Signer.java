package bricksignal.casework;

import bricksignal.core.unit.Stop;
import java.util.Set;

/**
 * Who sends an entry.
 *
 * @param name as people call them, with the number of a licence where one counts
 * @param licences what is current on the day of the site
 * @param lead whether they may let work go on by name, where that is left to a lead
 */
public record Signer(String name, Set<Stop.Licence> licences, boolean lead) {

    /** Somebody without any licence. */
    public static final Signer NOBODY = new Signer("", Set.of(), false);

    public Signer {
        licences = Set.copyOf(licences);
    }

    /** True if this person may say that a finding is put right, or let the work go on. */
    boolean mayLift(Stop stop, Stop.Licence needed) {
        return needed == Stop.Licence.NONE || licences.contains(needed) || lead && stop.leadMay();
    }
}
