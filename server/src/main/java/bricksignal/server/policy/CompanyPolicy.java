package bricksignal.server.policy;

import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Test;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.ZoneId;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;

/** The company's policy; there is one. */
@Entity
@Table(name = "company_policy")
@SuppressWarnings("UnusedVariable") // columns that only the database reads
public class CompanyPolicy {

    static final int ONLY = 1;

    @Id
    private int id;
    @Column(name = "labour_per_minute")
    private double labourPerMinute;
    @Column(name = "trip_cost")
    private double tripCost;
    @Column(name = "mistake_cost")
    private double mistakeCost;
    @Column(name = "not_allowed")
    private String notAllowed;

    private String school;
    private String rates;
    @Column(name = "time_zone")
    private String timeZone;
    private String changers;

    protected CompanyPolicy() {
        rates = "";
        timeZone = "";
        changers = HouseRules.Changers.AT_WORK.name();
        notAllowed = "";
        school = School.STRICT.name();
    }

    HouseRules rules() {
        return new HouseRules(timeZone.isEmpty() ? ZoneId.systemDefault() : ZoneId.of(timeZone), HouseRules.Changers.valueOf(changers));
    }

    void set(HouseRules asked) {
        timeZone = asked.zone().getId();
        changers = asked.changers().name();
    }

    void set(Policy asked) {
        labourPerMinute = asked.labourPerMinute();
        tripCost = asked.tripCost();
        mistakeCost = asked.mistakeCost();
        school = asked.school().name();
        notAllowed = asked.notAllowed().stream().map(Enum::name).sorted().collect(Collectors.joining(","));
    }

    /** What else things cost, as JSON; empty where nobody said. */
    String rates() {
        return rates;
    }

    void setRates(String json) {
        rates = json;
    }

    Policy policy() {
        Set<Test.Sense> kinds = new LinkedHashSet<>();
        for (String kind : notAllowed.split(",")) {
            if (!kind.isEmpty()) {
                kinds.add(Test.Sense.valueOf(kind));
            }
        }
        return new Policy(labourPerMinute, tripCost, Policy.defaults().verifyMinutes(), mistakeCost, kinds,
                School.valueOf(school));
    }
}
