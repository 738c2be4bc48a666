package bricksignal.server.policy;

import bricksignal.core.diagnosis.plan.Policy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads and sets the company's policy. */
@Service
public class PolicyService {

    private final CompanyPolicies policies;

    PolicyService(CompanyPolicies policies) {
        this.policies = policies;
    }

    /** The policy as it stands. */
    @Transactional(readOnly = true)
    public Policy current() {
        return policies.findById(CompanyPolicy.ONLY).map(CompanyPolicy::policy).orElse(Policy.defaults());
    }

    @Transactional
    Policy set(Policy asked) {
        CompanyPolicy row = policies.findById(CompanyPolicy.ONLY).orElseThrow();
        row.set(asked.labourPerMinute(), asked.tripCost(), asked.mistakeCost(), asked.notAllowed());
        return row.policy();
    }
}
