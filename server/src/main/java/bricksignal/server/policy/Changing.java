package bricksignal.server.policy;

import bricksignal.server.problem.NotTheirs;
import org.springframework.stereotype.Component;

/** Who may change what somebody else made, by the rule of the company. */
@Component
public class Changing {

    private final PolicyService policy;

    Changing(PolicyService policy) {
        this.policy = policy;
    }

    /**
     * True if somebody may change it.
     *
     * @param lead whether they are the lead
     * @param theirs whether they made it, or work at it
     */
    public boolean may(boolean lead, boolean theirs) {
        HouseRules.Changers rule = policy.rules().changers();
        return lead || rule == HouseRules.Changers.EVERYBODY || rule == HouseRules.Changers.AT_WORK && theirs;
    }

    /**
     * Lets through whoever may change it.
     *
     * @param lead whether they are the lead
     * @param theirs whether they made it, or work at it
     * @param what it is, at the beginning of a sentence
     * @param otherwise what they can do instead
     * @throws NotTheirs if they may not
     */
    public void must(boolean lead, boolean theirs, String what, String otherwise) {
        if (!may(lead, theirs)) {
            throw new NotTheirs(what + (policy.rules().changers() == HouseRules.Changers.LEAD ? " is changed by the lead alone here. " : " was made by a colleague. ")
                    + otherwise);
        }
    }
}
