package bricksignal.server.record;

import bricksignal.casework.page.ReportPage;
import bricksignal.core.diagnosis.TimingDiagram;
import bricksignal.core.words.Message;
import bricksignal.server.change.Photos;
import bricksignal.server.policy.CompanyDay;
import bricksignal.server.visit.Visit;
import bricksignal.server.visit.VisitService;
import bricksignal.server.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The report of a visit on paper. */
@Component
class Reports {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {
    };

    private static final double PERCENT = 100;

    private final JsonMapper json;
    private final Pdf pdf;
    private final Photos photos;
    private final Words words;
    private final CompanyDay day;

    Reports(JsonMapper json, Pdf pdf, Photos photos, Words words, CompanyDay day) {
        this.day = day;
        this.words = words;
        this.json = json;
        this.photos = photos;
        this.pdf = pdf;
    }

    /** A bar of the timing diagram, percent of its width. */
    record Bar(double left, double width) {
    }

    /** A line of the timing diagram. */
    record Row(String label, List<Bar> due, List<Bar> begins, List<Bar> ends) {
    }

    byte[] pdf(VisitService.Standing standing, Pdf.Paper paper) {
        ReportPage report = ReportPage.of(standing.now());
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("visit", visit(standing.visit()));
        values.put("plate", words.of(standing.visit().unit().nameplate().says()));
        values.put("report", json.convertValue(report, FIELDS));
        values.put("rows", rows(report));
        values.put("clock", new Clock(words, day.zone()));
        values.put("photos", photos.onReport(standing.visit().id()).stream().map(photo -> Map.of("label", photo.label(), "src", "data:image/jpeg;base64,"
                + Base64.getEncoder().encodeToString(photo.jpeg()))).toList());
        return pdf.of("report", values, paper);
    }

    /** Times and shares as they are written in a document. */
    public static final class Clock {

        private final Words words;
        private final ZoneId zone;

        Clock(Words words, ZoneId zone) {
            this.zone = zone;
            this.words = words;
        }

        /** The time of day of a moment in milliseconds since 1970. */
        public String time(long millis) {
            return TIME.withZone(zone).format(Instant.ofEpochMilli(millis));
        }

        /** A share in percent, as it is told everywhere. */
        public String percent(double share) {
            return words.of(new Message.Share(share));
        }
    }

    /** What stands at the head of a document of a visit. */
    static Map<String, Object> visit(Visit visit) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("number", visit.number());
        to.put("site", visit.unit().site().name());
        to.put("address", visit.unit().site().address());
        to.put("unit", visit.unit().label());
        to.put("location", visit.unit().location());
        to.put("day", visit.scheduledOn());
        to.put("technician", visit.technician().name());
        to.put("complaint", visit.complaint());
        to.put("brought", visit.fileDigest() != null);
        to.put("outcome", visit.outcome() == null ? "" : visit.outcome().name());
        to.put("decided", visit.decided() == null ? "" : visit.decided());
        return to;
    }

    private static List<Row> rows(ReportPage report) {
        TimingDiagram diagram = report.diagram();
        double all = diagram.to() - diagram.from();
        List<Row> rows = new ArrayList<>();
        diagram.channels().forEach(line -> rows.add(new Row(line.label(), line.expected().stream().map(on -> new Bar(PERCENT * (on.from() - diagram.from())
                / all, PERCENT * (on.to() - on.from()) / all)).toList(), seen(report, line.id(), true), seen(report, line.id(), false))));
        return rows;
    }

    private static List<Bar> seen(ReportPage report, String channel, boolean begins) {
        TimingDiagram diagram = report.diagram();
        double all = diagram.to() - diagram.from();
        return report.taps().stream().filter(tap -> tap.channel().equals(channel) && tap.begins() == begins).map(tap -> new Bar(PERCENT
                * (diagram.callAt() + tap.seconds() - diagram.from()) / all, 0)).filter(bar -> bar.left() <= PERCENT).toList();
    }
}
