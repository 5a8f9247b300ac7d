package yellowrail.web.device;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import yellowrail.web.network.Lan;
import yellowrail.web.qr.QrCode;

/** What another device needs for being let in: where to go and the code. Told in the terminal whenever it is new. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class Invitation implements ApplicationRunner {

    private final Lan lan;
    private final OneTimeCode code;

    Invitation(Lan lan, OneTimeCode code) {
        this.lan = lan;
        this.code = code;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (lan.isOpen()) {
            System.out.println("For a phone in the same network: " + lan.url());
            System.out.print(picture().lines());
            tellCode();
            System.out.println(
                    "The phone will warn of a certificate that it does not know. It is ours if its SHA-256 is\n"
                            + lan.fingerprint());
        }
    }

    /**
     * The code went with the picture: what is read by a camera need not be typed. It stands where no server sees it.
     */
    QrCode picture() {
        return QrCode.of(lan.url() + "/device#" + code.shown());
    }

    void tellCode() {
        System.out.println("The code, good for one device: " + code.shown());
    }
}
