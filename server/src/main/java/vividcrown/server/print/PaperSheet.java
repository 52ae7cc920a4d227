package vividcrown.server.print;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.openpdf.text.Chunk;
import org.openpdf.text.Document;
import org.openpdf.text.Element;
import org.openpdf.text.Font;
import org.openpdf.text.HeaderFooter;
import org.openpdf.text.Image;
import org.openpdf.text.PageSize;
import org.openpdf.text.Paragraph;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfWriter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A sheet as it is written, top to bottom. */
public final class PaperSheet {

    /** What it is printed on. */
    public enum Paper {
        A4, LETTER;

        private Rectangle size() {
            return this == A4 ? PageSize.A4 : PageSize.LETTER;
        }
    }

    /** Names of people and places come in every alphabet of Europe: the letters are shipped and embedded. */
    private static final BaseFont REGULAR = shipped("LiberationSans-Regular.ttf");
    private static final BaseFont BOLD = shipped("LiberationSans-Bold.ttf");
    private static final float MARGIN = 36;
    private static final float CODE_POINTS = 56;
    private static final int CODE_PIXELS = 168;
    private static final float[] WITH_BOX = {1, 24};
    private static final int LABELS_IN_A_ROW = 3;
    private static final float LABEL_POINTS = 74;
    private static final float[] WITH_SMALL_CODE = {3, 5};
    private static final float[] WITH_CODE = {1, 5};

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final Document document;
    private final Font large = new Font(BOLD, 16);
    private final Font middle = new Font(BOLD, 12);
    private final Font usual = new Font(REGULAR, 10);

    public PaperSheet(Paper paper, String title, String foot) {
        document = new Document(paper.size(), MARGIN, MARGIN, MARGIN, MARGIN);
        PdfWriter.getInstance(document, bytes);
        document.addTitle(title);
        HeaderFooter footer = new HeaderFooter(new Phrase(foot + " · ", usual), true);
        footer.setBorder(Rectangle.NO_BORDER);
        document.setFooter(footer);
        document.open();
        document.add(new Paragraph(title, large));
    }

    private static BaseFont shipped(String name) {
        try (InputStream letters = Objects
                .requireNonNull(PaperSheet.class.getResourceAsStream("/liberation/" + name))) {
            return BaseFont.createFont(name, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, letters.readAllBytes(),
                    null);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("Impossible state: the font %s is shipped".formatted(name), unreadable);
        }
    }

    public PaperSheet text(String text) {
        document.add(new Paragraph(text, usual));
        return this;
    }

    public PaperSheet heading(String text) {
        Paragraph heading = new Paragraph(text, middle);
        heading.setSpacingBefore(10);
        heading.setKeepTogether(true);
        document.add(heading);
        return this;
    }

    /** Something to tick. */
    public PaperSheet toTick(String text) {
        PdfPTable row = new PdfPTable(WITH_BOX);
        row.setWidthPercentage(100);
        row.setSpacingBefore(3);
        PdfPCell box = new PdfPCell(new Phrase(" ", usual));
        box.setFixedHeight(14);
        box.setBorderWidth(1);
        row.addCell(box);
        PdfPCell words = new PdfPCell(new Phrase(text, usual));
        words.setBorder(Rectangle.NO_BORDER);
        words.setPaddingLeft(6);
        row.addCell(words);
        document.add(row);
        return this;
    }

    /**
     * A hive: its code to be scanned, beside it lines about it and room to write.
     *
     * @param address what the code opens
     */
    public PaperSheet hive(String name, String address, List<String> lines, int emptyLines) {
        PdfPTable row = new PdfPTable(WITH_CODE);
        row.setWidthPercentage(100);
        row.setSpacingBefore(6);
        row.setKeepTogether(true);
        Image code = code(address);
        PdfPCell left = new PdfPCell(code);
        left.setBorder(Rectangle.NO_BORDER);
        left.setHorizontalAlignment(Element.ALIGN_LEFT);
        row.addCell(left);
        Phrase words = new Phrase(new Chunk(name + "\n", middle));
        lines.forEach(line -> words.add(new Chunk(line + "\n", usual)));
        for (int line = 0; line < emptyLines; line++) {
            words.add(new Chunk("_".repeat(70) + "\n", usual));
        }
        PdfPCell right = new PdfPCell(words);
        right.setBorder(Rectangle.BOTTOM);
        row.addCell(right);
        document.add(row);
        return this;
    }

    /** @param address what the code on it opens */
    public record Label(String name, List<String> lines, String address) {
        public Label {
            lines = List.copyOf(lines);
        }
    }

    /** Labels to be cut out, three in a row, each with its code to be scanned. */
    public PaperSheet labels(List<Label> labels) {
        PdfPTable sheet = new PdfPTable(LABELS_IN_A_ROW);
        sheet.setWidthPercentage(100);
        sheet.setSpacingBefore(8);
        for (Label label : labels) {
            PdfPTable one = new PdfPTable(WITH_SMALL_CODE);
            PdfPCell left = new PdfPCell(code(label.address()));
            left.setBorder(Rectangle.NO_BORDER);
            one.addCell(left);
            Phrase words = new Phrase(new Chunk(label.name() + "\n", middle));
            label.lines().forEach(line -> words.add(new Chunk(line + "\n", usual)));
            PdfPCell right = new PdfPCell(words);
            right.setBorder(Rectangle.NO_BORDER);
            one.addCell(right);
            PdfPCell cut = new PdfPCell(one);
            cut.setPadding(4);
            cut.setFixedHeight(LABEL_POINTS);
            sheet.addCell(cut);
        }
        sheet.completeRow();
        document.add(sheet);
        return this;
    }

    private static Image code(String address) {
        try {
            BitMatrix dots = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, CODE_PIXELS, CODE_PIXELS,
                    Map.of(EncodeHintType.MARGIN, 1));
            byte[] grey = new byte[CODE_PIXELS * CODE_PIXELS];
            for (int y = 0; y < CODE_PIXELS; y++) {
                for (int x = 0; x < CODE_PIXELS; x++) {
                    grey[y * CODE_PIXELS + x] = (byte) (dots.get(x, y) ? 0 : 255);
                }
            }
            Image image = Image.getInstance(CODE_PIXELS, CODE_PIXELS, 1, 8, grey);
            image.scaleAbsolute(CODE_POINTS, CODE_POINTS);
            return image;
        } catch (WriterException impossible) {
            throw new IllegalStateException("Impossible state: an address of %d letters as a code"
                    .formatted(address.length()), impossible);
        }
    }

    /** Where a code on the sheet leads: the same server that printed it. */
    public static String address(String path) {
        return ServletUriComponentsBuilder.fromCurrentContextPath().path(path).toUriString();
    }

    /** The sheet as a PDF; nothing can be written after it. */
    byte[] done() {
        document.close();
        return bytes.toByteArray();
    }

    /** The same to look at and print. */
    public ResponseEntity<byte[]> answer(String fileName) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(fileName).build().toString())
                .body(done());
    }
}
