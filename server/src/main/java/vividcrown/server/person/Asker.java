package vividcrown.server.person;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.server.operation.LinkSecret;

/**
 * Where a request comes from.
 *
 * @param source its address; of version 6 the network of 64 bits, of which one household has all
 * @param device what the device carries since somebody signed in on it
 * @param program as it calls itself, at most 120 characters
 */
record Asker(String source, Optional<LinkSecret> device, String program) {

    static final String DEVICE = "crown_device";
    private static final int NETWORK_BYTES = 8;
    private static final int MOST_OF_PROGRAM = 120;
    private static final int MOST_OF_DEVICE = 64;

    static Asker of(HttpServletRequest request) {
        Optional<LinkSecret> device = Optional.ofNullable(request.getCookies()).stream().flatMap(Stream::of)
                .filter(cookie -> cookie.getName().equals(DEVICE)).map(Cookie::getValue)
                .filter(value -> !value.isEmpty() && value.length() <= MOST_OF_DEVICE).map(LinkSecret::new).findFirst();
        String program = Optional.ofNullable(request.getHeader("User-Agent")).orElse("").replaceAll("\\p{Cntrl}", "");
        return new Asker(source(request.getRemoteAddr()), device,
                program.substring(0, Math.min(MOST_OF_PROGRAM, program.length())));
    }

    /** @param address as the server has it, always in figures: no name is looked up */
    static String source(String address) {
        try {
            InetAddress parsed = InetAddress.getByName(address);
            if (parsed instanceof Inet6Address) {
                byte[] network = parsed.getAddress();
                Arrays.fill(network, NETWORK_BYTES, network.length, (byte) 0);
                return InetAddress.getByAddress(network).getHostAddress() + "/64";
            }
            return parsed.getHostAddress();
        } catch (UnknownHostException odd) {
            return "?";
        }
    }
}
