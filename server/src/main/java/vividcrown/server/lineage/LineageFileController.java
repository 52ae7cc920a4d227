package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jgrapht.Graph;
import org.jgrapht.graph.DirectedMultigraph;
import org.jgrapht.nio.Attribute;
import org.jgrapht.nio.AttributeType;
import org.jgrapht.nio.DefaultAttribute;
import org.jgrapht.nio.GraphExporter;
import org.jgrapht.nio.dot.DOTExporter;
import org.jgrapht.nio.graphml.GraphMLExporter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.lineage.Mating;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.lineage.LineageViews.EstimateView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.lineage.Stocks.Stock;
import vividcrown.server.print.PaperSheet;
import vividcrown.server.print.PaperSheet.Paper;
import vividcrown.server.problem.Refusal;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Descent and marks out, in open formats; a queen's certificate; yards with their flight circles. */
@RestController
class LineageFileController {

    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final List<String> PEDIGREE = List.of("queen", "name", "line", "born", "mother", "mated",
            "drone_mother",
            "sisters", "drones", "inbreeding");
    private static final List<String> MARKS = List.of("queen", "trait", "value", "yard", "year");
    /** Queens and drones fly so far that most matings lie within. Common practice. */
    private static final double FLIGHT_KILOMETRES = 3;
    private static final int CIRCLE_CORNERS = 36;
    private static final double KILOMETRES_A_DEGREE = 111.2;

    /** What the graph is written as. */
    enum GraphFormat {
        GRAPHML("application/xml", "graphml"), DOT("text/vnd.graphviz", "dot");

        private final String type;
        private final String ending;

        GraphFormat(String type, String ending) {
            this.type = type;
            this.ending = ending;
        }
    }

    /** An edge from a queen to her daughter. @param as mother, or the queen whose drone was the father */
    private record Parent(String as, UUID of, UUID daughter) {
    }

    private final Lineages lineages;
    private final Marks marks;
    private final Yards yards;
    private final Today today;

    LineageFileController(Lineages lineages, Marks marks, Yards yards, Today today) {
        this.lineages = lineages;
        this.marks = marks;
        this.yards = yards;
        this.today = today;
    }

    @GetMapping("/api/v1/exports/pedigree.csv")
    @Operation(operationId = "pedigreeCsv", summary = "Every queen with her mother and her mates, as CSV (RFC 4180)")
    @Transactional(readOnly = true)
    public ResponseEntity<String> pedigree() {
        Stock stock = lineages.stock(today.day());
        List<List<Object>> rows = new ArrayList<>();
        stock.bees().values().forEach(bee -> {
            Mating mating = stock.matings().get(bee.id());
            rows.add(List.of(bee.code(), bee.name(), bee.line(), bee.born() == 0 ? "" : bee.born(),
                    bee.motherId().filter(stock::knows).map(stock::bee).map(Bee::code).orElse(""), kind(mating),
                    PedigreeController.droneMother(mating).filter(stock::knows).map(stock::bee).map(Bee::code)
                            .orElse(""),
                    mating instanceof Mating.Sisters group ? group.sisters() : "",
                    mating == null ? "" : mating.drones(),
                    LineageViews.thousandth(stock.kinship().inbreeding(bee.id().toString()))));
        });
        return file("vivid-crown-pedigree.csv", CSV, CsvTable.write(PEDIGREE, rows));
    }

    @GetMapping("/api/v1/exports/scores.csv")
    @Operation(operationId = "scoresCsv", summary = "Every mark, given or following from what was recorded, as CSV (RFC 4180)")
    @Transactional(readOnly = true)
    public ResponseEntity<String> scores() {
        Stock stock = lineages.stock(today.day());
        List<List<Object>> rows = new ArrayList<>();
        marks.all(stock, today.day()).forEach(score -> rows.add(List.of(
                stock.bee(UUID.fromString(score.queen())).code(), score.trait().name(), score.value(), score.yard(),
                score.year())));
        return file("vivid-crown-scores.csv", CSV, CsvTable.write(MARKS, rows));
    }

    @GetMapping("/api/v1/exports/pedigree")
    @Operation(operationId = "pedigreeGraph", summary = "The pedigree as a graph, GraphML or DOT")
    @Transactional(readOnly = true)
    public ResponseEntity<String> graph(@RequestParam(defaultValue = "GRAPHML") GraphFormat format) {
        Stock stock = lineages.stock(today.day());
        Graph<UUID, Parent> graph = new DirectedMultigraph<>(Parent.class);
        stock.bees().keySet().forEach(graph::addVertex);
        stock.bees().values().forEach(bee -> bee.motherId().filter(stock::knows).ifPresent(mother -> {
            graph.addEdge(mother, bee.id(), new Parent("mother", mother, bee.id()));
            PedigreeController.droneMother(stock.matings().get(mother)).filter(stock::knows)
                    .filter(drones -> !drones.equals(bee.id()))
                    .ifPresent(drones -> graph.addEdge(drones, bee.id(), new Parent("drone mother", drones, bee.id())));
        }));
        StringWriter written = new StringWriter();
        exporter(format, stock).exportGraph(graph, written);
        return file("vivid-crown-pedigree." + format.ending, MediaType.parseMediaType(format.type), written.toString());
    }

    private static GraphExporter<UUID, Parent> exporter(GraphFormat format, Stock stock) {
        return switch (format) {
            case GRAPHML -> {
                GraphMLExporter<UUID, Parent> graphMl = new GraphMLExporter<>(UUID::toString);
                graphMl.registerAttribute("label", GraphMLExporter.AttributeCategory.NODE,
                        AttributeType.STRING);
                graphMl.registerAttribute("line", GraphMLExporter.AttributeCategory.NODE,
                        AttributeType.STRING);
                graphMl.registerAttribute("born", GraphMLExporter.AttributeCategory.NODE,
                        AttributeType.INT);
                graphMl.registerAttribute("as", GraphMLExporter.AttributeCategory.EDGE,
                        AttributeType.STRING);
                graphMl.setVertexAttributeProvider(id -> attributes(stock.bee(id)));
                graphMl.setEdgeAttributeProvider(edge -> Map.of("as", DefaultAttribute.createAttribute(edge.as())));
                yield graphMl;
            }
            case DOT -> {
                DOTExporter<UUID, Parent> dot = new DOTExporter<>(id -> "\"" + id + "\"");
                dot.setVertexAttributeProvider(id -> attributes(stock.bee(id)));
                dot.setEdgeAttributeProvider(edge -> Map.of("label", DefaultAttribute.createAttribute(edge.as())));
                yield dot;
            }
        };
    }

    private static Map<String, Attribute> attributes(Bee bee) {
        Map<String, Attribute> all = new LinkedHashMap<>();
        all.put("label", DefaultAttribute.createAttribute(bee.said()));
        all.put("line", DefaultAttribute.createAttribute(bee.line()));
        if (bee.born() != 0) {
            all.put("born", DefaultAttribute.createAttribute(bee.born()));
        }
        return all;
    }

    private static String kind(@Nullable Mating mating) {
        return switch (mating) {
            case Mating.OneDrone _ -> "ONE_DRONE";
            case Mating.Sisters _ -> "STATION";
            case Mating.Flying _ -> "OPEN";
            case null -> "";
        };
    }

    /** What a buyer may see of her. */
    enum Shown {
        DESCENT, MERIT, INBREEDING
    }

    @GetMapping(path = "/api/v1/queens/{id}/certificate.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "certificate", summary = "A queen's certificate for whoever gets her; what it shows is chosen")
    @Transactional(readOnly = true)
    public ResponseEntity<byte[]> certificate(@PathVariable UUID id,
            @RequestParam(defaultValue = "DESCENT") Set<Shown> show, @RequestParam(defaultValue = "A4") Paper paper) {
        Lineages.Known known = lineages.known(today.day());
        Stock stock = known.stock();
        if (!stock.knows(id)) {
            throw Refusal.notHere(QueenDeed.QUEEN, id);
        }
        Bee bee = stock.bee(id);
        PaperSheet page = new PaperSheet(paper, Sentence.of("print.certificate", bee.said()).toString(), "Vivid Crown");
        List<String> lines = new ArrayList<>();
        lines.add(Sentence.of("print.certificate.line", bee.line()).toString());
        lines.add(Sentence.of(bee.born() == 0 ? "print.certificate.ageUnknown" : "print.certificate.born",
                String.valueOf(bee.born())).toString());
        page.hive(bee.code(), PaperSheet.address("/queens/" + id), lines, 0);
        if (show.contains(Shown.DESCENT)) {
            page.heading(Sentence.of("print.certificate.descent").toString());
            Bee up = bee;
            for (int generation = 1; generation <= 3 && up.motherId().filter(stock::knows).isPresent(); generation++) {
                up = stock.bee(up.motherId().orElseThrow());
                page.text(Sentence.of("print.certificate.mother", generation, up.said(), up.line()).toString());
            }
        }
        if (show.contains(Shown.INBREEDING)) {
            page.text(Sentence.of("print.certificate.inbreeding",
                    Math.round(100 * stock.kinship().inbreeding(id.toString()))).toString());
        }
        if (show.contains(Shown.MERIT)) {
            page.heading(Sentence.of("print.certificate.merit").toString());
            List<EstimateView> merit = known.of(id);
            merit.forEach(one -> page.text(Sentence.of("print.certificate.trait", one.text(), one.value(),
                    Math.round(100 * one.reliability())).toString()));
            if (merit.isEmpty()) {
                page.text(Sentence.of("print.certificate.noMerit").toString());
            }
        }
        page.text(Sentence.of("print.certificate.on", today.day()).toString());
        return page.answer("queen-" + bee.code().replaceAll("[^A-Za-z0-9-]", "_") + ".pdf");
    }

    /** GeoJSON (RFC 7946): a yard as a point, the circle in which its queens mostly mate as a polygon. */
    @GetMapping("/api/v1/exports/yards.geojson")
    @Operation(operationId = "yardsGeoJson", summary = "Yards with the circle in which their queens mostly mate, as GeoJSON (RFC 7946)")
    @Transactional(readOnly = true)
    public ResponseEntity<Map<String, Object>> yards() {
        List<Map<String, Object>> features = new ArrayList<>();
        yards.byId().values().stream().filter(yard -> yard.closedOn().isEmpty()).forEach(yard -> {
            features.add(feature(yard, "yard", Map.of("type", "Point", "coordinates",
                    List.of(yard.longitude(), yard.latitude()))));
            features.add(feature(yard, "flight", Map.of("type", "Polygon", "coordinates", List.of(circle(yard)))));
        });
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/geo+json"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"vivid-crown-yards.geojson\"")
                .body(Map.of("type", "FeatureCollection", "features", features));
    }

    private static Map<String, Object> feature(Yard yard, String kind, Map<String, Object> geometry) {
        Map<String, Object> properties = new HashMap<>(Map.of("name", yard.name(), "kind", kind));
        if (kind.equals("flight")) {
            properties.put("kilometres", FLIGHT_KILOMETRES);
        }
        return Map.of("type", "Feature", "properties", properties, "geometry", geometry);
    }

    /** Anticlockwise, closed, as the format wants it. */
    private static List<List<Double>> circle(Yard yard) {
        List<List<Double>> corners = new ArrayList<>();
        for (int corner = 0; corner <= CIRCLE_CORNERS; corner++) {
            double angle = 2 * Math.PI * (corner % CIRCLE_CORNERS) / CIRCLE_CORNERS;
            double north = FLIGHT_KILOMETRES * Math.sin(angle) / KILOMETRES_A_DEGREE;
            double east = FLIGHT_KILOMETRES * Math.cos(angle) / KILOMETRES_A_DEGREE
                    / Math.cos(Math.toRadians(yard.latitude()));
            corners.add(List.of(yard.longitude() + east, yard.latitude() + north));
        }
        return corners;
    }

    private static ResponseEntity<String> file(String name, MediaType type, String content) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(type).body(content);
    }
}
