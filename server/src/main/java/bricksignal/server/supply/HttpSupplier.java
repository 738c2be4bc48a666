package bricksignal.server.supply;

import java.net.http.HttpClient;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.ResourceAccessException;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;

/** A supplier that answers {@code GET /parts?family=F&part=A&part=B} with a JSON list of what is on its shelf. */
final class HttpSupplier implements Supplier {

    /** Somebody stands at a unit and waits. */
    static final Duration LONGEST = Duration.ofSeconds(2);
    private static final double DEAREST = 1e6;

    private final RestClient client;

    HttpSupplier(String url) {
        JdkClientHttpRequestFactory requests = new JdkClientHttpRequestFactory(HttpClient.newBuilder().connectTimeout(LONGEST).build());
        requests.setReadTimeout(LONGEST);
        this.client = RestClient.builder().baseUrl(url).requestFactory(requests).build();
    }

    @Override
    public List<OnShelf> ask(String family, List<String> parts) {
        OnShelf[] shelf;
        try {
            shelf = client.get().uri(uri -> uri.path("/parts").queryParam("family", family).queryParam("part", parts.toArray()).build()).retrieve()
                    .body(OnShelf[].class);
        } catch (ResourceAccessException away) {
            throw new SupplierAway("The supplier did not answer within " + LONGEST.toSeconds() + " s.", away);
        } catch (RestClientException wrong) {
            throw new SupplierAway("The supplier answers, but not as agreed.", wrong);
        }
        return shelf == null ? List.of() : Arrays.stream(shelf).filter(one -> parts.contains(one.part()) && one.price() > 0 && one.price() <= DEAREST
                && one.pieces() >= 0 && one.hours() >= 0).toList();
    }
}
