package bricksignal.server.policy;

import bricksignal.core.costing.Rates;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import bricksignal.server.problem.BadInput;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The company's policy: everybody may read it, the lead sets it. */
@RestController
class PolicyController {

    /** Kinds that a company may not want; looking, listening and measuring are always allowed. */
    private static final List<Test.Sense> CHOICES = List.of(Test.Sense.SWAP, Test.Sense.SUBSTITUTE, Test.Sense.TRY,
            Test.Sense.RESET, Test.Sense.WARM, Test.Sense.CYCLES);

    private final PolicyService service;

    PolicyController(PolicyService service) {
        this.service = service;
    }

    /** The policy in the company's currency; what is null is left as it is. */
    record PolicyView(@DecimalMin("0.01") @DecimalMax("1000") double labourPerMinute,
            @DecimalMin("0") @DecimalMax("100000") double tripCost,
            @DecimalMin("0") @DecimalMax("1000000") double mistakeCost, Set<Test.Sense> notAllowed,
            @NotNull School school, @Nullable String timeZone, HouseRules.@Nullable Changers changers) {

        static PolicyView of(Policy p, HouseRules rules) {
            return new PolicyView(p.labourPerMinute(), p.tripCost(), p.mistakeCost(), p.notAllowed(), p.school(), rules.zone().getId(), rules.changers());
        }

        private HouseRules rules(HouseRules now) {
            try {
                return new HouseRules(timeZone == null ? now.zone() : ZoneId.of(timeZone), changers == null ? now.changers() : changers);
            } catch (DateTimeException unknown) {
                throw new BadInput("timeZone", Message.of("problem.time-zone", Message.said(String.valueOf(timeZone))));
            }
        }
    }

    @GetMapping("/api/policy")
    PolicyView read() {
        return PolicyView.of(service.current(), service.rules());
    }

    @GetMapping("/api/policy/choices")
    List<Test.Sense> choices() {
        return CHOICES;
    }

    @PreAuthorize("hasRole('LEAD')")
    @PostMapping("/api/policy")
    PolicyView set(@Valid @RequestBody PolicyView asked) {
        service.set(new Policy(asked.labourPerMinute(), asked.tripCost(), Policy.defaults().verifyMinutes(), asked.mistakeCost(), asked.notAllowed(),
                asked.school()), asked.rules(service.rules()));
        return read();
    }

    /** What things cost beside labour and trips. */
    @GetMapping("/api/policy/rates")
    Rates rates() {
        return service.rates();
    }

    @PreAuthorize("hasRole('LEAD')")
    @PostMapping("/api/policy/rates")
    Rates set(@RequestBody Map<String, Object> asked) {
        return service.set(service.read(asked));
    }
}
