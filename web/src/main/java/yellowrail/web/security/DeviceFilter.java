package yellowrail.web.security;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.dao.DataAccessException;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.authentication.preauth.AbstractPreAuthenticatedProcessingFilter;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationProvider;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationToken;
import org.springframework.security.web.context.RequestAttributeSecurityContextRepository;
import org.springframework.web.util.WebUtils;
import yellowrail.web.device.Devices;

/** Knows a device by the token that it was given when it was let in. */
final class DeviceFilter extends AbstractPreAuthenticatedProcessingFilter {

    private final Devices devices;

    DeviceFilter(Devices devices) {
        this.devices = devices;
        PreAuthenticatedAuthenticationProvider provider = new PreAuthenticatedAuthenticationProvider();
        provider.setPreAuthenticatedUserDetailsService(this::known);
        setAuthenticationManager(new ProviderManager(provider));
        setSecurityContextRepository(new RequestAttributeSecurityContextRepository());
    }

    private UserDetails known(PreAuthenticatedAuthenticationToken shown) {
        try {
            return devices.of((String) shown.getPrincipal())
                    .map(device -> new User(device.name(), "", AuthorityUtils.NO_AUTHORITIES))
                    .orElseThrow(() -> new UsernameNotFoundException("a device that is not, or no longer, let in"));
        } catch (DataAccessException away) {
            throw new AuthenticationServiceException("nobody can tell which devices are let in", away);
        }
    }

    @Override
    protected Object getPreAuthenticatedPrincipal(HttpServletRequest request) {
        Cookie cookie = request.isSecure() ? WebUtils.getCookie(request, Devices.COOKIE) : null;
        return cookie == null ? null : cookie.getValue();
    }

    @Override
    protected Object getPreAuthenticatedCredentials(HttpServletRequest request) {
        return "";
    }
}
