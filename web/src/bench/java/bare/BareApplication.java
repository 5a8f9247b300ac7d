package bare;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@SpringBootApplication
public class BareApplication {

    public static void main(String[] args) {
        ConfigurableApplicationContext context = SpringApplication.run(BareApplication.class, args);
        if (args.length > 0 && args[0].equals("--once")) {
            System.exit(SpringApplication.exit(context));
        }
    }

    @Mapper
    interface Things {
        @Select("SELECT count(*) FROM thing")
        long count();
    }

    @RestController
    static class Page {

        private final Things things;

        Page(Things things) {
            this.things = things;
        }

        @GetMapping("/")
        String page() {
            return "There are " + things.count() + " things.";
        }
    }
}
