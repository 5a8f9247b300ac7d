package yellowrail.web.network;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import yellowrail.web.RunningApplication;

/** Trust in the certificate of the running application and in no other. */
public final class Trust {

    private Trust() {}

    public static SSLContext inOurs() throws Exception {
        return in(Path.of(RunningApplication.bean(Lan.class).keystore()));
    }

    static SSLContext in(Path keystore) throws Exception {
        KeyStore ours = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(keystore)) {
            ours.load(in, Certificate.PASSWORD.toCharArray());
        }
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry(Certificate.ALIAS, ours.getCertificate(Certificate.ALIAS));
        return of(trusted);
    }

    private static SSLContext of(KeyStore trusted) throws GeneralSecurityException {
        TrustManagerFactory managers = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        managers.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, managers.getTrustManagers(), null);
        return context;
    }
}
