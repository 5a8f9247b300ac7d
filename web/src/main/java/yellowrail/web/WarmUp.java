package yellowrail.web;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.BeansException;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import yellowrail.core.tube.model.TubeModels;

/**
 * Makes what the first page has no use for, shortly after it stands: parts are made, and tube models fitted, when they
 * are first asked for, and nobody shall wait for them at the second click.
 */
@Component
@Order(1)
class WarmUp implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);
    /** Whoever opens the first page at once is not to share the machine with it. */
    private static final int SECONDS_AFTER_THE_START = 2;

    private final ConfigurableApplicationContext context;

    WarmUp(ConfigurableApplicationContext context) {
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        Thread thread = new Thread(this::later, "warm-up");
        thread.setDaemon(true);
        thread.start();
    }

    private void later() {
        try {
            TimeUnit.SECONDS.sleep(SECONDS_AFTER_THE_START);
            now();
            TubeModels.published().all();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Makes all that was not made yet; what cannot be made is told, and told again to whoever asks for it. */
    void now() {
        for (String name : context.getBeanDefinitionNames()) {
            if (!context.isClosed()) {
                make(name);
            }
        }
    }

    private void make(String name) {
        try {
            if (context.isSingleton(name)) {
                context.getBean(name);
            }
        } catch (BeansException | IllegalStateException e) {
            // The application may be ending meanwhile.
            if (!context.isClosed()) {
                LOG.error("a part of the application cannot be made: {}", name, e);
            }
        }
    }
}
