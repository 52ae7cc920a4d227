package vividcrown.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.PlanarYUVLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openpdf.text.pdf.PRStream;
import org.openpdf.text.pdf.PdfName;
import org.openpdf.text.pdf.PdfObject;
import org.openpdf.text.pdf.PdfReader;
import org.openpdf.text.pdf.parser.PdfTextExtractor;

/** Sheets read back with the libraries' own readers: what stands on them, how large they are, what the codes open. */
class PaperSheetTest {

    private static final String ADDRESS = "http://127.0.0.1:8080/colonies/e9865b38-8676-5cb5-8921-28dea13d3e75";

    private static PdfReader sheet(PaperSheet.Paper paper) throws IOException {
        return new PdfReader(new PaperSheet(paper, "Črna prst, Łąka", "Vivid Crown").heading("Steps")
                .toTick("H 1, frame 4 → N 1").hive("H 1", ADDRESS, List.of("9 frames of brood"), 2).done());
    }

    @Test
    void names_in_any_alphabet_are_on_it() throws IOException {
        String text = new PdfTextExtractor(sheet(PaperSheet.Paper.A4)).getTextFromPage(1);
        assertThat(text).contains("Črna prst, Łąka").contains("H 1, frame 4 → N 1").contains("9 frames of brood");
    }

    /** A4 is 595 × 842 points, Letter 612 × 792 (ISO 216, ANSI Y14.1). */
    @Test
    void it_is_as_large_as_the_paper() throws IOException {
        assertThat(Math.round(sheet(PaperSheet.Paper.A4).getPageSize(1).getWidth())).isEqualTo(595);
        assertThat(Math.round(sheet(PaperSheet.Paper.A4).getPageSize(1).getHeight())).isEqualTo(842);
        assertThat(Math.round(sheet(PaperSheet.Paper.LETTER).getPageSize(1).getWidth())).isEqualTo(612);
        assertThat(Math.round(sheet(PaperSheet.Paper.LETTER).getPageSize(1).getHeight())).isEqualTo(792);
    }

    @Test
    void the_code_at_a_hive_opens_it() throws Exception {
        PdfReader reader = sheet(PaperSheet.Paper.A4);
        List<String> opened = new ArrayList<>();
        for (int number = 0; number < reader.getXrefSize(); number++) {
            PdfObject object = reader.getPdfObject(number);
            if (object instanceof PRStream stream && PdfName.IMAGE.equals(stream.get(PdfName.SUBTYPE))) {
                int width = stream.getAsNumber(PdfName.WIDTH).intValue();
                int height = stream.getAsNumber(PdfName.HEIGHT).intValue();
                byte[] grey = PdfReader.getStreamBytes(stream);
                opened.add(new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(
                        new PlanarYUVLuminanceSource(grey, width, height, 0, 0, width, height, false)))).getText());
            }
        }
        assertThat(opened).containsExactly(ADDRESS);
    }
}
