package yellowrail.web.demo;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Lays the demo data out at the start, where it is asked for. */
@Component
class DemoStart implements ApplicationRunner {

    private final ObjectProvider<DemoData> data;
    private final boolean asked;

    DemoStart(ObjectProvider<DemoData> data, @Value("${yellow-rail.demo:false}") boolean asked) {
        this.data = data;
        this.asked = asked;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (asked) {
            data.getObject().fillIfEmpty();
        }
    }
}
