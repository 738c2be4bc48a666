package bricksignal.server.lead;

import bricksignal.server.learning.CallBack;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.policy.PolicyService;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Counts over closed visits; the database counts. */
@Repository
class Closed {

    private static final int MOST = 60;
    /** A call-back counts against the visit before it. One pass, whatever the number of visits, over no more of each than is counted. */
    private static final String VISITS = "with stepped as (select id, unit_id, technician_id, opened_at, closed_at, proven, board_changed, book_minutes, parts_cost, allowed, "
            + "lead(opened_at) over w as next_opened, lead(number) over w as next_number from visit where opened_at is not null "
            + "and (closed_at >= :from or opened_at >= :from) window w as (partition by unit_id order by opened_at)), "
            + "closed as materialized (select v.id, u.pack, v.technician_id, v.proven, v.board_changed, v.allowed, v.closed_at, "
            + "cast(extract(epoch from v.closed_at - v.opened_at) as double precision) / 60 as minutes, v.book_minutes, v.parts_cost, case when " + CallBack.CAME + " then v.next_number end as back "
            + "from stepped v join unit u on u.id = v.unit_id where v.closed_at >= :from and v.closed_at < :to) ";
    private static final String NAMED = " c join visit v on v.id = c.id join unit u on u.id = v.unit_id join site s on s.id = u.site_id "
            + "join account a on a.id = v.technician_id order by c.closed_at";
    private static final String ROWS = "select v.number, c.pack, s.name as site, u.label as unit, a.name as person, v.complaint, coalesce(v.verdict, '') as verdict, "
            + "coalesce(v.outcome, '') as outcome, v.proven, v.repaired, v.board_changed, v.allowed, v.skipped, v.opened_at, v.closed_at, c.minutes, c.book_minutes, "
            + "c.minutes * :labour + c.parts_cost as cost, c.book_minutes * :labour + c.parts_cost as book_cost, c.back from closed" + NAMED;
    private static final String COUNTS = "select grouping(pack) as \"allPacks\", grouping(technician_id) as \"allPeople\", "
            + "coalesce(pack, (select name from account where id = technician_id), '') as name, "
            + "count(*) as visits, count(*) filter (where proven) as proven, count(*) filter (where proven is null) as unknown, "
            + "count(back) as backs, count(*) filter (where board_changed) as boards, count(*) filter (where allowed <> '') as allowed, " + middle("minutes") + " as minutes, "
            + middle("book_minutes") + " as \"bookMinutes\", " + middle("minutes * :labour + parts_cost") + " as cost, "
            + middle("book_minutes * :labour + parts_cost") + " as \"bookCost\" from closed group by grouping sets ((), (pack), (technician_id)) order by name";
    /** All that the lead looks at is counted of one reading of the visits. */
    private static final String WEEKS = "select cast(date_trunc('week', closed_at at time zone :zone) as date) as week, count(*) as visits, count(*) filter (where proven) as proven, "
            + "count(back) as backs, count(*) filter (where board_changed) as boards from closed group by 1 order by 1";
    private static final String OVERVIEW = "select " + list(COUNTS) + " as counts, " + list(shown("back is not null")) + " as backs, "
            + list(shown("board_changed")) + " as boards, " + list(WEEKS) + " as weeks";
    private static final double WEEK_DAYS = 7;

    private final EntityManager entities;
    private final PolicyService policy;
    private final CompanyDay day;
    private final JsonMapper json;

    Closed(EntityManager entities, PolicyService policy, JsonMapper json, CompanyDay day) {
        this.day = day;
        this.entities = entities;
        this.policy = policy;
        this.json = json;
    }

    /**
     * What some visits came to.
     *
     * @param name the family or the person; empty for all
     * @param unknown closed before anybody counted
     * @param backs how many came back within thirty days
     * @param allowed how often a board was changed or ordered without proof, by a lead's leave
     * @param minutes from the first entry to the end, the middle one; null where there is none
     * @param bookMinutes what the work takes by the figures of the packs, the middle one
     * @param cost of those minutes and the parts, the middle one
     * @param bookCost the same by the book
     */
    record Figures(String name, long visits, long proven, long unknown, long backs, long boards, long allowed, @Nullable Double minutes, @Nullable Double bookMinutes,
            @Nullable Double cost, @Nullable Double bookCost) {
    }

    /**
     * A visit after which somebody came back, or for which a board was changed.
     *
     * @param skipped how much proof a stricter school would have asked for
     * @param allowed a board changed or ordered without proof, by which lead's leave and why; empty where none was
     * @param back the number of the visit that came back; null where none did
     * @param shopTest what a shop found of the board, SOUND or BAD; null where nobody looked
     */
    record Shown(UUID id, long number, String site, String unit, String person, String verdict, boolean proven, int skipped, String allowed, @Nullable Long back,
            @Nullable String shopTest) {
    }

    /** A line of all closed visits. */
    record Row(long number, String pack, String site, String unit, String person, String complaint, String verdict, String outcome, @Nullable Boolean proven,
            String repaired, boolean board, String allowed, int skipped, Instant opened, Instant closed, double minutes, @Nullable Double bookMinutes, @Nullable Double cost,
            @Nullable Double bookCost, @Nullable Long back) {
    }

    /**
     * What was closed in a week.
     *
     * @param week its Monday
     * @param backs how many came back within thirty days
     */
    record Week(LocalDate week, long visits, long proven, long backs, long boards) {
    }

    /** What closed visits of some days came to, week by week too, those without any left out; people stand by name, nobody is ranked; those that came back and boards that were changed newest first. */
    record Overview(String currency, Figures all, List<Figures> families, List<Figures> people, List<Shown> backs, List<Shown> boards, List<Week> weeks) {
    }

    @Transactional(readOnly = true)
    Overview overview(LocalDate from, LocalDate to) {
        Tuple found = asked(OVERVIEW, from, to, Map.of("zone", day.zone().getId())).get(0);
        JsonNode counts = json.readTree(text(found, "counts"));
        return new Overview(policy.rates().currency(), figures(counts, 1, 1).get(0), figures(counts, 0, 1), figures(counts, 1, 0), List.of(json.readValue(text(found, "backs"), Shown[].class)),
                List.of(json.readValue(text(found, "boards"), Shown[].class)), List.of(json.readValue(text(found, "weeks"), Week[].class)));
    }

    /** All of them, oldest first. */
    @Transactional(readOnly = true)
    List<Row> rows(LocalDate from, LocalDate to) {
        return asked(ROWS, from, to, Map.of()).stream().map(t -> new Row(number(t, "number"), text(t, "pack"), text(t, "site"),
                text(t, "unit"), text(t, "person"), text(t, "complaint"), text(t, "verdict"), text(t, "outcome"), (Boolean) t.get("proven"), text(t, "repaired"),
                (Boolean) t.get("board_changed"), text(t, "allowed"), ((Number) t.get("skipped")).intValue(), (Instant) t.get("opened_at"), (Instant) t.get("closed_at"),
                ((Number) t.get("minutes")).doubleValue(), (Double) t.get("book_minutes"), (Double) t.get("cost"), (Double) t.get("book_cost"), t.get("back") == null ? null : number(t, "back"))).toList();
    }

    /** How many times each part was repaired, by family and part. */
    @Transactional(readOnly = true)
    Map<String, Map<String, Integer>> used() {
        return times("select u.pack, part as what, count(*) as times from visit v join unit u on u.id = v.unit_id "
                + "cross join unnest(string_to_array(v.repaired, ',')) as part where v.closed_at is not null and part <> '' group by u.pack, part");
    }

    /** How many visits were made, by family and the name of who made them. */
    @Transactional(readOnly = true)
    Map<String, Map<String, Integer>> visits() {
        return times("select u.pack, a.name as what, count(*) as times from visit v join unit u on u.id = v.unit_id join account a on a.id = v.technician_id "
                + "where v.closed_at is not null group by u.pack, a.name");
    }

    @SuppressWarnings("unchecked")
    private Map<String, Map<String, Integer>> times(String select) {
        Map<String, Map<String, Integer>> times = new LinkedHashMap<>();
        ((List<Tuple>) entities.createNativeQuery(select, Tuple.class).getResultList()).forEach(t -> times.computeIfAbsent(text(t, "pack"), pack ->
                new LinkedHashMap<>()).put(text(t, "what"), (int) number(t, "times")));
        return times;
    }

    /** Weeks since the first visit whose parts were counted was closed; 0 where none was. */
    @Transactional(readOnly = true)
    double weeks() {
        Number days = (Number) entities.createNativeQuery("select coalesce(extract(epoch from now() - min(closed_at)) / 86400, 0) from visit where proven is not null")
                .getSingleResult();
        return Math.max(0, days.doubleValue() / WEEK_DAYS);
    }

    /** Of all families together or each by itself, of all people or each. */
    private List<Figures> figures(JsonNode counts, int allPacks, int allPeople) {
        return StreamSupport.stream(counts.spliterator(), false).filter(c -> c.get("allPacks").asInt() == allPacks && c.get("allPeople").asInt() == allPeople)
                .map(c -> json.treeToValue(((ObjectNode) c.deepCopy()).without(List.of("allPacks", "allPeople")), Figures.class)).toList();
    }

    private static String shown(String where) {
        return "select v.id, v.number, s.name as site, u.label as unit, a.name as person, coalesce(v.verdict, '') as verdict, coalesce(v.proven, false) as proven, "
                + "v.skipped, v.allowed, c.back, v.shop_test as \"shopTest\" from (select * from closed where " + where + " order by closed_at desc limit " + MOST + ")" + NAMED
                + " desc";
    }

    /** The middle one of all that are known. */
    private static String middle(String of) {
        return "percentile_cont(0.5) within group (order by " + of + ")";
    }

    /** What a query finds, as a list in JSON. */
    private static String list(String query) {
        return "cast((select coalesce(json_agg(one), '[]') from (" + query + ") one) as text)";
    }

    @SuppressWarnings("unchecked")
    private List<Tuple> asked(String select, LocalDate from, LocalDate to, Map<String, Object> more) {
        ZoneId zone = day.zone();
        Query query = entities.createNativeQuery(VISITS + select, Tuple.class);
        more.forEach(query::setParameter);
        return query.setParameter("from", from.atStartOfDay(zone).toInstant())
                .setParameter("to", to.plusDays(1).atStartOfDay(zone).toInstant())
                .setParameter("labour", policy.current().labourPerMinute()).getResultList();
    }

    private static long number(Tuple tuple, String name) {
        return ((Number) tuple.get(name)).longValue();
    }

    private static String text(Tuple tuple, String name) {
        return String.valueOf(tuple.get(name));
    }
}
