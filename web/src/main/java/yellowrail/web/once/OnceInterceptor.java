package yellowrail.web.once;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What comes a second time under its number, and was stored the first time, is not stored again. */
@Component
class OnceInterceptor implements HandlerInterceptor, WebMvcConfigurer {

    private final Once once;

    OnceInterceptor(Once once) {
        this.once = once;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).excludePathPatterns("/api/**", "/actuator/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!request.getMethod().equals("POST")) {
            return true;
        }
        Sent sent = Sent.begin(request);
        if (sent.again()) {
            if (sent.number().filter(once::isTaken).isPresent()) {
                throw new StoredAlreadyException();
            }
            once.forgetOld();
        }
        return true;
    }
}
