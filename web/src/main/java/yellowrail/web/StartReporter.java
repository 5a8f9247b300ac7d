package yellowrail.web;

import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/** A known reason not to start is told in one line by {@link YellowRail}, and not by a stack trace before it. */
@Order(Ordered.HIGHEST_PRECEDENCE)
class StartReporter implements SpringBootExceptionReporter {

    StartReporter(ConfigurableApplicationContext context) {}

    @Override
    public boolean reportException(Throwable failure) {
        return StartTrouble.of(failure).isPresent();
    }
}
