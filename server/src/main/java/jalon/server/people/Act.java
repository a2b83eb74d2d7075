package jalon.server.people;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/** What can be written into the log; each with the names of its parts. The screens have the words. */
public enum Act {
    @JsonProperty("opened")
    OPENED("source"),
    @JsonProperty("splitOff")
    SPLIT_OFF("batch", "pages"),
    @JsonProperty("splitFrom")
    SPLIT_FROM("batch", "pages"),
    @JsonProperty("arrived")
    ARRIVED("pages"),
    /** All pages are read. */
    @JsonProperty("advanced")
    ADVANCED("to", "documents"),
    @JsonProperty("moved")
    MOVED("from", "to"),
    @JsonProperty("stuck")
    STUCK("why"),
    @JsonProperty("keptWithoutWords")
    KEPT_WITHOUT_WORDS("page"),
    @JsonProperty("notRead")
    NOT_READ("page"),
    @JsonProperty("pageTriedAgain")
    PAGE_TRIED_AGAIN("page"),
    @JsonProperty("fileTriedAgain")
    FILE_TRIED_AGAIN("file"),

    @JsonProperty("took")
    TOOK,
    @JsonProperty("tookOver")
    TOOK_OVER("from"),
    @JsonProperty("handedBack")
    HANDED_BACK,
    @JsonProperty("handedOn")
    HANDED_ON("to"),
    @JsonProperty("held")
    HELD("why"),
    @JsonProperty("released")
    RELEASED,
    @JsonProperty("prioritised")
    PRIORITISED("from", "to"),
    /** By the clock, since it is nearly due. */
    @JsonProperty("raised")
    RAISED("from", "to"),
    @JsonProperty("setDue")
    SET_DUE("from", "to"),
    @JsonProperty("expected")
    EXPECTED("pages", "documents"),
    @JsonProperty("withdrew")
    WITHDREW("why"),
    @JsonProperty("scanBrokenOff")
    SCAN_BROKEN_OFF("sheets"),
    @JsonProperty("toldLate")
    TOLD_LATE("to"),

    /** It goes on by a newer version of its stream. */
    @JsonProperty("usedVersion")
    USED_VERSION("from", "to"),

    @JsonProperty("plantedStake")
    PLANTED_STAKE("pages"),
    @JsonProperty("liftedStake")
    LIFTED_STAKE("pages"),
    @JsonProperty("splitEvery")
    SPLIT_EVERY("pages", "every"),
    @JsonProperty("openedGroup")
    OPENED_GROUP("pages"),
    @JsonProperty("joinedGroup")
    JOINED_GROUP("pages"),
    @JsonProperty("confirmedStake")
    CONFIRMED_STAKE("pages"),
    @JsonProperty("movedBefore")
    MOVED_BEFORE("pages", "before"),
    @JsonProperty("movedToEnd")
    MOVED_TO_END("pages"),
    @JsonProperty("addedBefore")
    ADDED_BEFORE("pages", "before"),
    @JsonProperty("addedAtEnd")
    ADDED_AT_END("pages"),
    @JsonProperty("setAside")
    SET_ASIDE("pages"),
    @JsonProperty("putBack")
    PUT_BACK("pages"),
    @JsonProperty("turned")
    TURNED("pages", "degrees"),
    @JsonProperty("openedGap")
    OPENED_GAP("pages", "note"),
    @JsonProperty("filledGap")
    FILLED_GAP("pages"),
    @JsonProperty("waivedGap")
    WAIVED_GAP("pages", "why"),
    @JsonProperty("acceptedCounts")
    ACCEPTED_COUNTS("why"),
    @JsonProperty("keptImage")
    KEPT_IMAGE("pages"),
    @JsonProperty("askedAgain")
    ASKED_AGAIN("pages", "why"),
    @JsonProperty("askedNoLonger")
    ASKED_NO_LONGER("pages"),
    @JsonProperty("repaired")
    REPAIRED("pages", "steps"),
    @JsonProperty("leftRepairsToStream")
    LEFT_REPAIRS_TO_STREAM("pages"),
    @JsonProperty("namedType")
    NAMED_TYPE("pages", "type"),
    @JsonProperty("namedVariant")
    NAMED_VARIANT("pages", "type", "variant"),
    @JsonProperty("settled")
    SETTLED("pages", "field", "value"),
    @JsonProperty("settledAbsent")
    SETTLED_ABSENT("pages", "field"),

    @JsonProperty("filed")
    FILED("deliveries"),
    @JsonProperty("deliveryLeftOutWhy")
    DELIVERY_LEFT_OUT_WHY("destination", "document", "why"),
    @JsonProperty("filedAsStreamSays")
    FILED_AS_STREAM_SAYS("destination", "document"),
    @JsonProperty("reported")
    REPORTED("to"),
    @JsonProperty("reportNotSent")
    REPORT_NOT_SENT("to"),
    @JsonProperty("askedToCheckFiled")
    ASKED_TO_CHECK_FILED,
    @JsonProperty("filedFileTrouble")
    FILED_FILE_TROUBLE("destination", "path"),
    @JsonProperty("filedFileMended")
    FILED_FILE_MENDED("destination", "path"),
    @JsonProperty("deliveryTriedNow")
    DELIVERY_TRIED_NOW("destination", "document"),
    @JsonProperty("deliveryRenamed")
    DELIVERY_RENAMED("destination", "document", "name"),
    @JsonProperty("deliveryNumbered")
    DELIVERY_NUMBERED("destination", "document"),
    @JsonProperty("heldBack")
    HELD_BACK("document", "why"),
    @JsonProperty("documentReleased")
    DOCUMENT_RELEASED("document"),
    @JsonProperty("tookBack")
    TOOK_BACK("why"),
    @JsonProperty("corrected")
    CORRECTED("document", "fields", "why"),
    @JsonProperty("deliveryLeftOut")
    DELIVERY_LEFT_OUT("destination", "document"),

    @JsonProperty("groupFollows")
    GROUP_FOLLOWS("group", "directoryGroup"),
    @JsonProperty("beganHold")
    BEGAN_HOLD("hold", "why"),
    @JsonProperty("heldDocument")
    HELD_DOCUMENT("document", "hold"),
    @JsonProperty("endedHold")
    ENDED_HOLD("hold", "why"),
    @JsonProperty("askedToErase")
    ASKED_TO_ERASE("document", "why"),
    @JsonProperty("erased")
    ERASED("document", "files"),
    @JsonProperty("leftUnerased")
    LEFT_UNERASED("document", "why"),

    @JsonProperty("savedStream")
    SAVED_STREAM("stream", "version"),
    @JsonProperty("learned")
    LEARNED("stream", "version", "samples", "refused"),
    @JsonProperty("learnedAnew")
    LEARNED_ANEW("stream", "version", "samples", "refused"),
    @JsonProperty("tookSampleOut")
    TOOK_SAMPLE_OUT("type", "page"),
    @JsonProperty("putSampleBack")
    PUT_SAMPLE_BACK("type", "page"),
    @JsonProperty("taughtType")
    TAUGHT_TYPE("type", "page"),
    @JsonProperty("taughtLayout")
    TAUGHT_LAYOUT("type", "layout", "page"),
    @JsonProperty("saidColumnKind")
    SAID_COLUMN_KIND("register", "column"),
    @JsonProperty("savedPlace")
    SAVED_PLACE("place", "where"),
    @JsonProperty("removedPlace")
    REMOVED_PLACE("place"),
    @JsonProperty("savedRegister")
    SAVED_REGISTER("register", "lines"),
    @JsonProperty("savedSource")
    SAVED_SOURCE("register", "place"),
    @JsonProperty("removedSource")
    REMOVED_SOURCE("register"),
    @JsonProperty("savedChannel")
    SAVED_CHANNEL("kind", "name"),
    @JsonProperty("removedChannel")
    REMOVED_CHANNEL("kind", "name"),
    @JsonProperty("pausedChannel")
    PAUSED_CHANNEL("name"),
    @JsonProperty("resumedChannel")
    RESUMED_CHANNEL("name"),
    @JsonProperty("madeToken")
    MADE_TOKEN("name", "streams"),
    @JsonProperty("revokedToken")
    REVOKED_TOKEN("token"),
    @JsonProperty("signedIn")
    SIGNED_IN("address"),
    @JsonProperty("signInFailed")
    SIGN_IN_FAILED("who", "address"),
    @JsonProperty("signedOut")
    SIGNED_OUT,
    @JsonProperty("changedPassword")
    CHANGED_PASSWORD,
    @JsonProperty("addedPerson")
    ADDED_PERSON("person", "role"),
    @JsonProperty("changedPerson")
    CHANGED_PERSON("person", "role"),
    @JsonProperty("lockedPerson")
    LOCKED_PERSON("person"),
    @JsonProperty("unlockedPerson")
    UNLOCKED_PERSON("person"),
    @JsonProperty("gavePassword")
    GAVE_PASSWORD("person"),
    @JsonProperty("addedGroup")
    ADDED_GROUP("group"),
    @JsonProperty("renamedGroup")
    RENAMED_GROUP("from", "to"),
    @JsonProperty("removedGroup")
    REMOVED_GROUP("group"),
    /** Groups that alone have it; none for everybody whose role has it. */
    @JsonProperty("saidRight")
    SAID_RIGHT("right", "stream", "type", "groups"),
    @JsonProperty("refused")
    REFUSED("request"),
    @JsonProperty("lookedAt")
    LOOKED_AT("document"),
    @JsonProperty("tookResults")
    TOOK_RESULTS("line"),
    @JsonProperty("tookFile")
    TOOK_FILE("document"),
    @JsonProperty("signInWaits")
    SIGN_IN_WAITS("kind", "who", "attempts", "seconds"),
    @JsonProperty("liftedWait")
    LIFTED_WAIT("kind", "who"),

    /** Kept from before the log had codes: the words as they were written down. */
    @JsonProperty("asWritten")
    AS_WRITTEN("text");

    private final List<String> parts;

    Act(String... parts) {
        this.parts = List.of(parts);
    }

    /** @param values one for each part, in their order */
    public Logged with(Object... values) {
        return Logged.of(this, parts, values);
    }
}
