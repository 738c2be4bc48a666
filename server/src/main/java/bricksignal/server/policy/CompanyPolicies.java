package bricksignal.server.policy;

import org.springframework.data.jpa.repository.JpaRepository;

/** The company's policy. */
interface CompanyPolicies extends JpaRepository<CompanyPolicy, Integer> {
}
