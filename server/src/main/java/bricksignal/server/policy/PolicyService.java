package bricksignal.server.policy;

import bricksignal.core.diagnosis.plan.Policy;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads and sets the company's policy. It is remembered for some seconds, for what another instance may set. */
@Service
public class PolicyService {

    private static final Duration REMEMBERED = Duration.ofSeconds(10);

    private final CompanyPolicies policies;
    private final LoadingCache<Integer, Policy> known;

    PolicyService(CompanyPolicies policies) {
        this.policies = policies;
        known = Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build(only -> policies.findById(only)
                .map(CompanyPolicy::policy).orElse(Policy.defaults()));
    }

    /** The policy as it stands. */
    public Policy current() {
        return known.get(CompanyPolicy.ONLY);
    }

    @Transactional
    Policy set(Policy asked) {
        CompanyPolicy row = policies.findById(CompanyPolicy.ONLY).orElseThrow();
        row.set(asked);
        Policy policy = row.policy();
        known.put(CompanyPolicy.ONLY, policy);
        return policy;
    }
}
