package bricksignal.server.demo;

import bricksignal.casework.entry.Entry;
import bricksignal.core.unit.Stop;
import bricksignal.server.account.Account;
import bricksignal.server.account.Accounts;
import bricksignal.server.account.Qualification;
import bricksignal.server.account.Qualifications;
import bricksignal.server.overlay.OverlayService;
import bricksignal.server.pack.Packs;
import bricksignal.server.site.Nameplate;
import bricksignal.server.site.Site;
import bricksignal.server.site.SiteUnit;
import bricksignal.server.site.SiteUnits;
import bricksignal.server.site.Sites;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.Visits;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Skerrow Sound, an archipelago with a service co-operative: invented people, places and jobs, loaded once; the people alone for a company that begins. */
@Component
@ConditionalOnProperty("brick.demo")
public class DemoData implements ApplicationRunner {

    private static final String PASSWORD = "skerrow";
    /** An empty company: its people, and nothing that they have done. */
    private static final String PEOPLE = "people";
    /** Any number, the same for all instances. */
    private static final int LOCK = 20_261_126;
    private static final String FURNACE = "f1-furnace";
    private static final String VEHICLE = "f3-vehicle";
    private static final String AIR_HANDLER = "f9-airhandler";
    private static final String MINI_SPLIT = "f12-minisplit";
    private static final String ROOFTOP = "f14-rooftop";
    private static final String TWO_STAGES = "f2-furnace";
    private static final String BOILER = "f4-boiler";
    private static final String CONDENSING = "f5-boiler";
    private static final String STOVE = "f6-stove";
    private static final String PAD_STOVE = "f7-stove";
    private static final String MODULE = "f11-module";
    private static final String RELAY_BOARD = "f8-airhandler";
    private static final String HEAT_PUMP = "f10-heatpump";
    private static final String MULTI_SPLIT = "f13-multisplit";
    private static final String HUMIDITY = "f16-humidity";
    private static final String RELAYS = "f15-relayboard";
    private static final String ECONOMIZER = "f17-economizer";
    private static final String DETECTOR = "f18-leak";

    /** Invented: who may do what. */
    private static final Map<String, List<Stop.Licence>> LICENCES = Map.of("ines", List.of(Stop.Licence.GAS, Stop.Licence.REFRIGERANT),
            "tobin", List.of(Stop.Licence.SOLID_FUEL), "odile", List.of(Stop.Licence.GAS, Stop.Licence.ELECTRICAL));

    private final Accounts accounts;
    private final Qualifications qualifications;
    private final Sites sites;
    private final SiteUnits units;
    private final Visits visits;
    private final DemoPast thePast;
    private final PasswordEncoder passwords;
    private final Packs packs;
    private final OverlayService overlays;
    private final TransactionTemplate transaction;
    private final EntityManager entities;
    private final boolean empty;

    DemoData(@Value("${brick.demo}") String what, Qualifications qualifications, Accounts accounts, Sites sites, SiteUnits units, Visits visits, DemoPast thePast,
            PasswordEncoder passwords, Packs packs, OverlayService overlays, TransactionTemplate transaction, EntityManager entities) {
        this.qualifications = qualifications;
        this.accounts = accounts;
        this.sites = sites;
        this.units = units;
        this.visits = visits;
        this.thePast = thePast;
        this.passwords = passwords;
        this.packs = packs;
        this.overlays = overlays;
        this.transaction = transaction;
        this.entities = entities;
        this.empty = what.equals(PEOPLE);
    }

    /** People, units and jobs: all of them or none, and once, however many instances start at the same time. */
    @Override
    public void run(ApplicationArguments args) {
        packs.keepTexts();
        List<DemoPast.Past> past = new ArrayList<>();
        transaction.executeWithoutResult(status -> {
            entities.createNativeQuery("select 1 from (select pg_advisory_xact_lock(" + LOCK + ")) held").getResultList();
            if (accounts.count() == 0) {
                past.addAll(load());
            }
        });
        if (!past.isEmpty()) {
            boards();
        }
        past.forEach(thePast::visited);
    }

    /** Boards that may come in the place of the one of a furnace. */
    private void boards() {
        for (String name : List.of("skerrow-first", "skerrow-grey", "skerrow-round")) {
            try {
                overlays.save("odile", new ClassPathResource("demo/" + name + ".yaml").getContentAsString(StandardCharsets.UTF_8));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private List<DemoPast.Past> load() {
        Account ines = person("ines", "Ines Marrow", Account.Role.TECHNICIAN);
        Account tobin = person("tobin", "Tobin Ashe", Account.Role.TECHNICIAN);
        person("odile", "Odile Fenn", Account.Role.LEAD);
        return empty ? List.of() : work(ines, tobin);
    }

    private List<DemoPast.Past> work(Account ines, Account tobin) {
        SiteUnit ferry = unit("Ferry waiting hall", "Pier 1, Skerrow", "Furnace, closet", "closet behind the ticket desk", FURNACE);
        ferry.nameplate(new Nameplate(null, "K-80-4", "0418-2207", "80,000 Btu/h", null, null, Nameplate.Gas.NATURAL, 40.0));
        SiteUnit loft = unit("Net-mending loft", "Tarry Lane 4, Skerrow", "Furnace, loft", "under the stairs", FURNACE);
        SiteUnit seeds = unit("Seed library", "Upper Green, Little Skerrow", "Furnace, stacks", "plant room", FURNACE);
        SiteUnit climb = unit("Climbing hall", "Old Cannery, Holm", "Furnace, north wall", "mezzanine", FURNACE);
        SiteUnit yard = unit("Boatyard cottage", "Slip Road, Holm", "Furnace, cellar", "cellar", FURNACE);
        SiteUnit chandlery = unit("Chandlery", "Quay 7, Skerrow", "Furnace, store", "back store", FURNACE);
        SiteUnit van = unit("Mobile library van", "on the road, Holm today", "Vehicle furnace", "under the reading bench",
                VEHICLE);
        SiteUnit dairy = unit("Dairy", "Low Meadow, Little Skerrow", "Air handler, office", "above the office ceiling",
                AIR_HANDLER);
        SiteUnit radio = unit("Radio booth", "Lighthouse Road, Skerrow", "Mini-split", "studio and north wall", MINI_SPLIT);
        Site studio = sites.save(new Site(UUID.randomUUID(), "Glass-blowing studio", "Cannery Row 2, Holm"));
        SiteUnit rooftop = on(studio, "Rooftop 1", "over the furnaces", ROOFTOP);
        on(studio, "Rooftop 2", "over the shop", ROOFTOP);
        on(studio, "Rooftop 3", "over the store", ROOFTOP);
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        job(ferry, ines, "No heat. Inducer starts, then nothing. Lamp blinks.", today).plan(LocalTime.of(8, 0));
        job(loft, ines, "No heat since last night, lamp is dark.", today).plan(LocalTime.of(9, 30));
        job(climb, ines, "Starts, burns for a few seconds, goes out again.", today).plan(LocalTime.of(11, 0));
        job(seeds, tobin, "Heats for some minutes, then cold air.", today).plan(LocalTime.of(8, 30));
        job(chandlery, tobin, "Blower does not stop.", today);
        job(van, ines, "Blower runs, clicks, no heat.", today).plan(LocalTime.of(13, 0));
        job(radio, ines, "Indoor unit blows warm, outdoor unit is dead.", today);
        job(rooftop, ines, "Rooftop 1 is dead, lamp on the board is dark.", today);
        job(dairy, tobin, "No air at all.", today);
        job(unit("Smokehouse", "Kiln Lane 2, Skerrow", "Heat pump, packing room", "north wall", HEAT_PUMP), ines, "Iced solid, never thaws by itself.", today);
        job(unit("Puppet theatre", "Upper Green 6, Little Skerrow", "Air handler, stage", "under the stage", RELAY_BOARD), tobin, "Fan called, nothing blows.", today);
        job(unit("Chart archive", "Upper Green 2, Little Skerrow", "Rooftop, reading room", "flat roof", HUMIDITY), tobin, "Dries all day, space feels right.", today);
        job(unit("Wool store", "Low Meadow 5, Little Skerrow", "Rooftop, sorting room", "flat roof", ECONOMIZER), tobin, "Compressor runs on cool days, damper stays shut.", today);
        job(unit("Tide museum", "Quay 12, Skerrow", "Rooftop, hall", "flat roof", RELAYS), ines, "Display goes blank when the building calls for cooling.", today);
        job(unit("Guest house", "Chapel Road 4, Skerrow", "Multi-split, outdoor unit", "flat roof", MULTI_SPLIT), tobin, "Does not take its test run.", today);
        job(unit("Kelp press", "Slip Road 3, Holm", "Air handler with detector", "drying loft", DETECTOR), tobin, "Thermostat goes dark, fan runs on.", today);
        List<DemoPast.Past> past = new ArrayList<>();
        past.add(new DemoPast.Past(job(yard, ines, "No heat. Igniter does not glow.", today.minusDays(12)).id(), "ines", "igniter-open",
                "Igniter replaced from the van; three cycles watched.", List.of(new Entry.Pattern(null, "7 flashes"), new Entry.Answer("see-glow", false),
                new Entry.TestReading("v.hsi-plug.warm-up", "118.6"), new Entry.TestReading("ohms-igniter", "OL"))));
        past.addAll(heating(tobin, today));
        past.addAll(season(ines, today));
        return past;
    }

    /** What was the matter with two furnaces in the last year: for what own records say. */
    private List<DemoPast.Past> season(Account ines, LocalDate today) {
        SiteUnit shed = unit("Oyster shed", "Slip Road 11, Holm", "Furnace, sorting room", "behind the tanks", FURNACE);
        SiteUnit cooper = unit("Cooper's workshop", "Tarry Lane 2, Skerrow", "Furnace, stave store", "under the stairs", FURNACE);
        return List.of(season(shed, ines, today.minusDays(330), "igniter-open", "No heat."), season(shed, ines, today.minusDays(240), "rod-coated", "Goes out after seconds."),
                season(shed, ines, today.minusDays(150), "igniter-open", "No heat since the storm."), season(shed, ines, today.minusDays(60), "rod-coated", "Lights and goes out."),
                season(cooper, ines, today.minusDays(290), "capacitor-weak", "Hums, no air."), season(cooper, ines, today.minusDays(190), "igniter-open", "No heat, lamp blinks."),
                season(cooper, ines, today.minusDays(45), "board-igniter", "No heat, inducer runs."));
    }

    private DemoPast.Past season(SiteUnit unit, Account who, LocalDate day, String fault, String complaint) {
        return new DemoPast.Past(job(unit, who, complaint, day).id(), "ines", fault, "Repaired, three cycles watched.", List.of());
    }

    /** Boilers, stoves and other furnaces of the islands, each with a job of today and one of the past. */
    private List<DemoPast.Past> heating(Account tobin, LocalDate today) {
        SiteUnit terminal = unit("Ferry terminal", "Pier 3, Skerrow", "Furnace, two stages", "attic over the counter", TWO_STAGES);
        SiteUnit school = unit("Island school", "Chapel Road, Little Skerrow", "Boiler, old wing", "boiler room", BOILER);
        SiteUnit baths = unit("Seawater baths", "Promenade, Skerrow", "Condensing boiler", "behind the lockers", CONDENSING);
        SiteUnit shed = unit("Rope walk", "Tarry Lane 9, Skerrow", "Pellet stove, knob", "by the winding frame", STOVE);
        SiteUnit tower = unit("Signal tower", "Lighthouse Road, Skerrow", "Pellet stove, pad", "watch room", PAD_STOVE);
        SiteUnit hall = unit("Fishermen's hall", "Quay 2, Holm", "Furnace, module", "cellar", MODULE);
        job(terminal, tobin, "Runs on low, never goes up. Too cold by noon.", today);
        job(school, tobin, "No heat in the old wing, display shows E2.", today);
        job(baths, tobin, "Burns although no thermostat calls.", today);
        job(shed, tobin, "Feed lamp blinks, no pellets fall.", today);
        job(tower, tobin, "A lamp blinks, fan runs, no fire.", today);
        job(hall, tobin, "Lights and drops out, now and then.", today);
        return List.of(new DemoPast.Past(job(terminal, tobin, "No heat. Lamp counts four.", today.minusDays(40)).id(), "tobin", "trap-blocked",
                "Trap was full of scale; cleaned, filled, three cycles watched.", List.of(new Entry.Pattern(null, "4 flashes"),
                new Entry.Answer("see-water", true), new Entry.Answer("see-trap", true))),
                new DemoPast.Past(job(school, tobin, "Boiler trips, pipes cold.", today.minusDays(95)).id(), "tobin", "circulator-air", "Air purged, fill valve set.", List.of(new Entry.Pattern(null, "display E1"), new Entry.Answer("bleed-circulator", true))),
                new DemoPast.Past(job(baths, tobin, "No heat, E5 on the display.", today.minusDays(70)).id(), "tobin", "water-low", "Relief valve leaked; replaced, filled, purged.", List.of(new Entry.Pattern(null, "display E5"), new Entry.TestReading("pressure-shown", "4"))),
                new DemoPast.Past(job(shed, tobin, "Smokes, glass black.", today.minusDays(20)).id(), "tobin", "ash-full", "Stove cleaned to its last passage.", List.of(new Entry.Answer("see-lazy", true), new Entry.Answer("see-ash", true))),
                new DemoPast.Past(job(tower, tobin, "Second lamp blinks.", today.minusDays(33)).id(), "tobin", "vent-sooted", "Vent swept, gasket looked at.", List.of(new Entry.Pattern(null, "lamp 2 slow"), new Entry.Answer("see-vent", true))),
                new DemoPast.Past(job(hall, tobin, "No spark.", today.minusDays(300)).id(), "tobin", "electrode-gap", "Electrode set to an eighth of an inch.", List.of(new Entry.Answer("hear-spark", false), new Entry.Answer("see-gap", true))));
    }

    private Account person(String login, String name, Account.Role role) {
        Account made = accounts.save(new Account(UUID.randomUUID(), login, name, String.valueOf(passwords.encode(PASSWORD)), role));
        LICENCES.getOrDefault(login, List.of()).forEach(licence -> qualifications.save(new Qualification(UUID.randomUUID(), made.id(), licence, "SK-"
                + login.substring(0, 2).toUpperCase(Locale.ROOT) + "-" + licence.name().charAt(0), "Skerrow Sound", LocalDate.now(ZoneId.systemDefault()).plusYears(1))));
        return made;
    }

    private SiteUnit unit(String name, String address, String label, String location,
            String pack) {
        Site site = sites.save(new Site(UUID.randomUUID(), name, address));
        return on(site, label, location, pack);
    }

    private SiteUnit on(Site site, String label, String location, String pack) {
        return units.save(new SiteUnit(UUID.randomUUID(), site, label, location, pack));
    }

    private Visit job(SiteUnit unit, Account technician, String complaint, LocalDate day) {
        return visits.save(new Visit(UUID.randomUUID(), unit, technician, complaint, day));
    }
}
