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
    private final ObjectProvider<DemoYears> years;
    private final boolean asked;
    private final int ofYears;

    DemoStart(
            ObjectProvider<DemoData> data,
            ObjectProvider<DemoYears> years,
            @Value("${yellow-rail.demo:false}") boolean asked,
            @Value("${yellow-rail.demo-years:0}") int ofYears) {
        this.data = data;
        this.years = years;
        this.asked = asked;
        this.ofYears = ofYears;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (asked && ofYears > 0) {
            years.getObject().fillIfEmpty(ofYears);
        } else if (asked) {
            data.getObject().fillIfEmpty();
        }
    }
}
