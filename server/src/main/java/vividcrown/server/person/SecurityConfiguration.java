package vividcrown.server.person;

import jakarta.servlet.http.HttpServletResponse;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Sessions in a cookie, a CSRF token for everything that changes, and every path under /api closed unless said here. */
@Configuration
class SecurityConfiguration {

    private static final String CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; "
            + "img-src 'self' data:; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";

    /** What the screens ask a device for, and nothing else. */
    private static final String PERMISSIONS = "camera=(), geolocation=(), microphone=(), payment=(), usb=()";

    @Bean
    SecurityFilterChain security(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http.csrf(csrf -> csrf.spa().ignoringRequestMatchers("/api/v1/reckon/**"))
                // Only signing in begins a session: a refused question that began one could overwrite it a moment later.
                .requestCache(cache -> cache.disable())
                .addFilterAfter(new OperationFilter(), AnonymousAuthenticationFilter.class)
                .securityContext(context -> context.securityContextRepository(contexts))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        // what else is at the address' domain is not ours to bind
                        .httpStrictTransportSecurity(only -> only.includeSubDomains(false))
                        // links let people in: no other place is to read them
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(policy -> policy.policy(PERMISSIONS)))
                .authorizeHttpRequests(
                        requests -> requests.requestMatchers(HttpMethod.POST, "/api/v1/session").permitAll()
                                .requestMatchers("/api/v1/founding", "/api/v1/people/invitations/*").permitAll()
                                .requestMatchers("/api/v1/reckon/**", "/api/v1/openapi").permitAll()
                                .requestMatchers("/api/**").authenticated()
                                .requestMatchers("/metrics/**").access(SecurityConfiguration::ofThisMachine)
                                .anyRequest().permitAll())
                .exceptionHandling(handling -> handling.authenticationEntryPoint((_, response, _) -> {
                    response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
                    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                    response.getWriter().write("""
                            {"type":"urn:vividcrown:signed-out","status":401,\
                            "detail":"You are signed out. Sign in again; what you entered is kept on this device."}""");
                })).logout(logout -> logout.disable()).build();
    }

    /** What a proxy on this machine passes on comes from elsewhere: its address is put in the place of the proxy's before this. */
    private static AuthorizationDecision ofThisMachine(Supplier<? extends @Nullable Authentication> asks,
            RequestAuthorizationContext asked) {
        try {
            return new AuthorizationDecision(
                    InetAddress.getByName(asked.getRequest().getRemoteAddr()).isLoopbackAddress());
        } catch (UnknownHostException odd) {
            return new AuthorizationDecision(false);
        }
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
