package yellowrail.web.network;

import org.apache.catalina.connector.Connector;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.boot.tomcat.CompressionConnectorCustomizer;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Listens on the chosen address besides loopback: over TLS only, with the same bounds on what is sent. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class LanConnector implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final Lan lan;

    LanConnector(Lan lan) {
        this.lan = lan;
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        if (!lan.isOpen()) {
            return;
        }
        Connector connector = new Connector(server.getProtocol());
        connector.setPort(lan.port());
        connector.setProperty("address", lan.address());
        connector.setURIEncoding(server.getUriEncoding().name());
        connector.setScheme("https");
        connector.setSecure(true);
        // Over HTTP/1.1: with Tomcat's HTTP/2 a page now and then never came when a request before it was given up.
        connector.setProperty("SSLEnabled", "true");
        connector.addSslHostConfig(secured());
        server.getConnectorCustomizers().forEach(bound -> bound.customize(connector));
        new CompressionConnectorCustomizer(server.getCompression()).customize(connector);
        server.addAdditionalConnectors(connector);
    }

    private SSLHostConfig secured() {
        SSLHostConfig secured = new SSLHostConfig();
        secured.setProtocols("TLSv1.2+TLSv1.3");
        SSLHostConfigCertificate certificate = new SSLHostConfigCertificate(secured, SSLHostConfigCertificate.Type.EC);
        certificate.setCertificateKeystoreFile(lan.keystore());
        certificate.setCertificateKeystorePassword(Certificate.PASSWORD);
        certificate.setCertificateKeyAlias(Certificate.ALIAS);
        secured.addCertificate(certificate);
        return secured;
    }
}
