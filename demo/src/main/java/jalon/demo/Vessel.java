package jalon.demo;

import java.util.List;

/** A vessel of Port Merrow with its owner, as the harbour's register has it. */
public record Vessel(
        String registration,
        String vessel,
        String owner,
        String telephone,
        String address,
        String quay,
        String berth,
        String lengthM) {

    static final List<String> COLUMNS =
            List.of("registration", "vessel", "owner", "telephone", "address", "quay", "berth", "length");

    List<String> values() {
        return List.of(registration, vessel, owner, telephone, address, quay, berth, lengthM);
    }
}
