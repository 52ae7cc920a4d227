package vividcrown.server.founding;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.ZoneId;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/** Founding the operation on the first day. */
@RestController
@RequestMapping("/api/v1/founding")
class FoundingController {

    /** @param open nobody has founded an operation here yet, and the server printed a code */
    record FoundingState(boolean open) {
    }

    /**
     * @param code as the server printed it when it started
     * @param operation what the operation is called
     * @param owner the name of its owner
     * @param password of at least ten characters
     */
    record FoundingAsked(@NotBlank String code, @NotBlank @Size(max = 80) String operation,
            @NotBlank @Size(max = 80) String zone, @NotBlank @Size(max = 80) String owner,
            @NotBlank @Email @Size(max = 200) String email, @NotNull @Size(min = 10, max = 200) String password) {
    }

    private final FirstDay firstDay;

    FoundingController(FirstDay firstDay) {
        this.firstDay = firstDay;
    }

    /** Whether an operation can be founded here. */
    @GetMapping
    FoundingState state() {
        return new FoundingState(firstDay.isOpen());
    }

    /** Founds the operation and makes its owner, who can sign in then. Once only. */
    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void found(@Valid @RequestBody FoundingAsked asked) {
        firstDay.found(asked.code(), new FirstDay.Wanted(asked.operation().strip(), zone(asked.zone()),
                asked.owner().strip(), asked.email().strip(), asked.password()));
    }

    private static String zone(String told) {
        try {
            return ZoneId.of(told).getId();
        } catch (DateTimeException unknown) {
            throw Refusal.invalid("zone", Sentence.of("refusal.noSuchZone", told));
        }
    }
}
