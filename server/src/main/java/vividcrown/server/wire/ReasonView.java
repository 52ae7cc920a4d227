package vividcrown.server.wire;

import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;

/**
 * @param text what is so
 * @param source on what authority, as one line
 * @param authority which kind of authority
 * @param fromMemory the figure was written down from memory of the source
 */
public record ReasonView(String text, String source, Authority authority, boolean fromMemory) {

    public enum Authority {
        PUBLISHED, COMMON_PRACTICE, DERIVED, OWN_RECORD
    }

    public static ReasonView of(Reason reason) {
        Source source = reason.source();
        return switch (source) {
            case Source.Published published -> new ReasonView(reason.fact().toString(), source.citation(),
                    Authority.PUBLISHED, published.fromMemory());
            case Source.CommonPractice _ ->
                new ReasonView(reason.fact().toString(), source.citation(), Authority.COMMON_PRACTICE, false);
            case Source.Derived _ ->
                new ReasonView(reason.fact().toString(), source.citation(), Authority.DERIVED, false);
            case Source.OwnRecord _ ->
                new ReasonView(reason.fact().toString(), source.citation(), Authority.OWN_RECORD, false);
        };
    }

    public static List<ReasonView> of(List<Reason> reasons) {
        return reasons.stream().map(ReasonView::of).toList();
    }
}
