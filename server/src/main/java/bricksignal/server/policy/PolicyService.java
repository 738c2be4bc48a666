package bricksignal.server.policy;

import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import bricksignal.server.problem.BadInput;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Reads and sets the company's policy. It is remembered for some seconds, for what another instance may set. */
@Service
public class PolicyService {

    private static final Duration REMEMBERED = Duration.ofSeconds(10);

    private final CompanyPolicies policies;
    private final JsonMapper json;
    private final LoadingCache<Integer, Known> known;

    PolicyService(CompanyPolicies policies, JsonMapper json) {
        this.policies = policies;
        this.json = json;
        known = Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build(only -> policies.findById(only)
                .map(Known::of).orElseThrow());
    }

    private record Known(Policy policy, HouseRules rules) {

        private static Known of(CompanyPolicy row) {
            return new Known(row.policy(), row.rules());
        }
    }

    /** The policy as it stands. */
    public Policy current() {
        return known.get(CompanyPolicy.ONLY).policy();
    }

    /** The rules of the house as they stand. */
    public HouseRules rules() {
        return known.get(CompanyPolicy.ONLY).rules();
    }

    @Transactional
    void set(Policy asked, HouseRules rules) {
        CompanyPolicy row = policies.findById(CompanyPolicy.ONLY).orElseThrow();
        row.set(asked);
        row.set(rules);
        known.put(CompanyPolicy.ONLY, Known.of(row));
    }

    /** What things cost the company beside labour and trips. */
    @Transactional(readOnly = true)
    public Rates rates() {
        String kept = policies.findById(CompanyPolicy.ONLY).map(CompanyPolicy::rates).orElse("");
        return kept.isEmpty() ? Rates.defaults() : json.readValue(kept, Rates.class);
    }

    /**
     * Rates as they were sent.
     *
     * @throws BadInput if one is missing or makes no sense
     */
    Rates read(Map<String, Object> asked) {
        try {
            return json.convertValue(asked, Rates.class);
        } catch (JacksonException | IllegalArgumentException refused) {
            Throwable cause = refused;
            while (cause.getCause() != null) {
                cause = cause.getCause();
            }
            throw new BadInput("rates", cause instanceof Unfit unfit ? unfit.says() : Message.of("rate.none", Message.said(String.valueOf(cause.getMessage()))));
        }
    }

    @Transactional
    Rates set(Rates asked) {
        policies.findById(CompanyPolicy.ONLY).orElseThrow().setRates(json.writeValueAsString(asked));
        return asked;
    }
}
