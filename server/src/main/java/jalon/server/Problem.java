package jalon.server;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.words.Parts;
import java.util.List;
import org.springframework.http.HttpStatus;

/** What can be in the way of something that was asked for; each with the names of its parts. */
public enum Problem {
    @JsonProperty("atMostAWeek")
    AT_MOST_A_WEEK(Kind.INPUT),
    @JsonProperty("sayRemedy")
    SAY_REMEDY(Kind.INPUT),
    @JsonProperty("noSuchPage")
    NO_SUCH_PAGE(Kind.MISSING, "batch", "page"),
    @JsonProperty("namedPageMissing")
    NAMED_PAGE_MISSING(Kind.INPUT, "batch", "page"),
    @JsonProperty("boxNotRead")
    BOX_NOT_READ(Kind.NOW, "page"),
    @JsonProperty("noReadablePage")
    NO_READABLE_PAGE(Kind.MISSING, "batch", "page"),
    @JsonProperty("tokenNotForStream")
    TOKEN_NOT_FOR_STREAM(Kind.FORBIDDEN, "streams", "stream"),
    @JsonProperty("notYourRight")
    NOT_YOUR_RIGHT(Kind.FORBIDDEN),
    @JsonProperty("notYourType")
    NOT_YOUR_TYPE(Kind.FORBIDDEN, "type"),
    @JsonProperty("notTheirStream")
    NOT_THEIR_STREAM(Kind.INPUT, "who", "stream"),
    @JsonProperty("confidentialPages")
    CONFIDENTIAL_PAGES(Kind.FORBIDDEN),
    @JsonProperty("notFiledThere")
    NOT_FILED_THERE(Kind.NOW, "batch"),
    @JsonProperty("takesNoVersions")
    TAKES_NO_VERSIONS(Kind.NOW, "batch"),
    @JsonProperty("sayWhyCorrected")
    SAY_WHY_CORRECTED(Kind.INPUT),
    @JsonProperty("nothingCorrected")
    NOTHING_CORRECTED(Kind.INPUT),
    @JsonProperty("noSuchField")
    NO_SUCH_FIELD(Kind.INPUT, "field"),
    @JsonProperty("correctionUnlikely")
    CORRECTION_UNLIKELY(Kind.INPUT, "fields"),
    @JsonProperty("valueTooLong")
    VALUE_TOO_LONG(Kind.INPUT, "field", "most"),
    @JsonProperty("stillBeingFiled")
    STILL_BEING_FILED(Kind.NOW, "destination"),
    @JsonProperty("nowhereAVersion")
    NOWHERE_A_VERSION(Kind.NOW),
    @JsonProperty("deliveryWaits")
    DELIVERY_WAITS(Kind.NOW),
    @JsonProperty("noSuchGroup")
    NO_SUCH_GROUP(Kind.MISSING),
    @JsonProperty("groupIsThere")
    GROUP_IS_THERE(Kind.INPUT, "group"),
    @JsonProperty("groupHasRights")
    GROUP_HAS_RIGHTS(Kind.NOW, "group", "streams"),
    @JsonProperty("signInForm")
    SIGN_IN_FORM(Kind.INPUT),
    @JsonProperty("signInTaken")
    SIGN_IN_TAKEN(Kind.INPUT, "who"),
    @JsonProperty("sayRole")
    SAY_ROLE(Kind.INPUT),
    @JsonProperty("nameLength")
    NAME_LENGTH(Kind.INPUT, "most"),
    @JsonProperty("lastSupervisor")
    LAST_SUPERVISOR(Kind.NOW),
    @JsonProperty("sayRight")
    SAY_RIGHT(Kind.INPUT),
    @JsonProperty("keyLength")
    KEY_LENGTH(Kind.INPUT),
    @JsonProperty("revisionForm")
    REVISION_FORM(Kind.INPUT),
    @JsonProperty("noFileReadable")
    NO_FILE_READABLE(Kind.INPUT, "files"),
    @JsonProperty("keyUsed")
    KEY_USED(Kind.INPUT, "key", "batch"),
    @JsonProperty("listLength")
    LIST_LENGTH(Kind.INPUT, "most"),
    @JsonProperty("notSentByToken")
    NOT_SENT_BY_TOKEN(Kind.MISSING, "batch"),
    @JsonProperty("sayWhoseWait")
    SAY_WHOSE_WAIT(Kind.INPUT),
    @JsonProperty("headerCounts")
    HEADER_COUNTS(Kind.INPUT),
    @JsonProperty("notInArchive")
    NOT_IN_ARCHIVE(Kind.MISSING),
    @JsonProperty("tooFarDown")
    TOO_FAR_DOWN(Kind.INPUT, "most"),
    @JsonProperty("nothingAsked")
    NOTHING_ASKED(Kind.INPUT),
    @JsonProperty("searchTooLong")
    SEARCH_TOO_LONG(Kind.INPUT, "most"),
    @JsonProperty("searchName")
    SEARCH_NAME(Kind.INPUT, "most"),
    @JsonProperty("tooManySearches")
    TOO_MANY_SEARCHES(Kind.INPUT, "most"),
    @JsonProperty("bundleSize")
    BUNDLE_SIZE(Kind.INPUT, "most"),
    @JsonProperty("documentHasNoPage")
    DOCUMENT_HAS_NO_PAGE(Kind.MISSING, "page"),
    @JsonProperty("noSuchDocument")
    NO_SUCH_DOCUMENT(Kind.MISSING),
    @JsonProperty("noSuchBatch")
    NO_SUCH_BATCH(Kind.MISSING, "batch"),
    @JsonProperty("heldByAnother")
    HELD_BY_ANOTHER(Kind.NOW, "who", "batch", "at"),
    @JsonProperty("nobodyNeedsIt")
    NOBODY_NEEDS_IT(Kind.NOW, "batch"),
    @JsonProperty("passwordWait")
    PASSWORD_WAIT(Kind.NOW, "seconds"),
    @JsonProperty("passwordWrong")
    PASSWORD_WRONG(Kind.INPUT),
    @JsonProperty("passwordShort")
    PASSWORD_SHORT(Kind.INPUT, "least"),
    @JsonProperty("passwordLong")
    PASSWORD_LONG(Kind.INPUT, "most"),
    @JsonProperty("passwordCommon")
    PASSWORD_COMMON(Kind.INPUT),
    @JsonProperty("hostNotAllowed")
    HOST_NOT_ALLOWED(Kind.INPUT, "host"),
    @JsonProperty("noSuchPerson")
    NO_SUCH_PERSON(Kind.INPUT, "who"),
    @JsonProperty("readsOnly")
    READS_ONLY(Kind.INPUT, "who"),
    @JsonProperty("countBelowNothing")
    COUNT_BELOW_NOTHING(Kind.INPUT),
    @JsonProperty("batchIsDone")
    BATCH_IS_DONE(Kind.NOW, "batch"),
    @JsonProperty("sayWhichPages")
    SAY_WHICH_PAGES(Kind.INPUT),
    @JsonProperty("noSuchType")
    NO_SUCH_TYPE(Kind.INPUT, "type"),
    @JsonProperty("sayWhyAgain")
    SAY_WHY_AGAIN(Kind.INPUT),
    @JsonProperty("quartersOnly")
    QUARTERS_ONLY(Kind.INPUT),
    @JsonProperty("withdrawnBy")
    WITHDRAWN_BY(Kind.NOW, "batch", "who"),
    @JsonProperty("batchIsFiled")
    BATCH_IS_FILED(Kind.NOW, "batch"),
    @JsonProperty("batchChanged")
    BATCH_CHANGED(Kind.NOW, "batch"),
    @JsonProperty("batchOnHold")
    BATCH_ON_HOLD(Kind.NOW, "batch", "why"),
    @JsonProperty("beingRead")
    BEING_READ(Kind.NOW, "batch"),
    @JsonProperty("notByHand")
    NOT_BY_HAND(Kind.INPUT, "stage"),
    @JsonProperty("pageIsReadable")
    PAGE_IS_READABLE(Kind.NOW, "batch", "page"),
    @JsonProperty("fileIsReadable")
    FILE_IS_READABLE(Kind.NOW, "batch"),
    @JsonProperty("fileNotRead")
    FILE_NOT_READ(Kind.NOW, "file", "why"),
    @JsonProperty("batchComplete")
    BATCH_COMPLETE(Kind.NOW, "batch"),
    @JsonProperty("withdrawnTakesNothing")
    WITHDRAWN_TAKES_NOTHING(Kind.NOW, "batch"),
    @JsonProperty("sourceBroke")
    SOURCE_BROKE(Kind.NOW, "file", "why"),
    @JsonProperty("notStored")
    NOT_STORED(Kind.MACHINE, "file", "why"),
    @JsonProperty("cannotOpenNow")
    CANNOT_OPEN_NOW(Kind.MACHINE, "why"),
    @JsonProperty("stopping")
    STOPPING(Kind.MACHINE),
    @JsonProperty("notFetched")
    NOT_FETCHED(Kind.NOW, "file", "why"),
    @JsonProperty("notFiledAs")
    NOT_FILED_AS(Kind.MISSING, "document", "batch", "format"),
    @JsonProperty("filedFileGone")
    FILED_FILE_GONE(Kind.MISSING, "file"),
    @JsonProperty("pagesBeingRead")
    PAGES_BEING_READ(Kind.NOW, "batch"),
    @JsonProperty("pageAskedAgain")
    PAGE_ASKED_AGAIN(Kind.NOW, "page", "batch"),
    @JsonProperty("openGap")
    OPEN_GAP(Kind.NOW, "batch"),
    @JsonProperty("doubtsLeft")
    DOUBTS_LEFT(Kind.NOW, "batch", "cut", "fields"),
    @JsonProperty("noDestination")
    NO_DESTINATION(Kind.NOW, "stream"),
    @JsonProperty("noSuchDelivery")
    NO_SUCH_DELIVERY(Kind.MISSING, "batch"),
    @JsonProperty("typeAName")
    TYPE_A_NAME(Kind.INPUT),
    @JsonProperty("valueMissing")
    VALUE_MISSING(Kind.INPUT, "field"),
    @JsonProperty("mustBeThere")
    MUST_BE_THERE(Kind.INPUT, "field"),
    @JsonProperty("noSuchChannel")
    NO_SUCH_CHANNEL(Kind.MISSING),
    @JsonProperty("channelNeedsName")
    CHANNEL_NEEDS_NAME(Kind.INPUT),
    @JsonProperty("channelNameTaken")
    CHANNEL_NAME_TAKEN(Kind.NOW, "name"),
    @JsonProperty("channelNeedsStream")
    CHANNEL_NEEDS_STREAM(Kind.INPUT),
    @JsonProperty("wholePath")
    WHOLE_PATH(Kind.INPUT),
    @JsonProperty("mailboxNeeds")
    MAILBOX_NEEDS(Kind.INPUT),
    @JsonProperty("scannerAddress")
    SCANNER_ADDRESS(Kind.INPUT),
    @JsonProperty("notASchedule")
    NOT_A_SCHEDULE(Kind.INPUT, "cron"),
    @JsonProperty("onceASecond")
    ONCE_A_SECOND(Kind.INPUT),
    @JsonProperty("channelPaused")
    CHANNEL_PAUSED(Kind.NOW),
    @JsonProperty("channelsUnreadable")
    CHANNELS_UNREADABLE(Kind.INPUT, "why"),
    @JsonProperty("tokenNeeds")
    TOKEN_NEEDS(Kind.INPUT),
    @JsonProperty("noSuchToken")
    NO_SUCH_TOKEN(Kind.MISSING),
    @JsonProperty("pageNotShown")
    PAGE_NOT_SHOWN(Kind.NOW, "page", "why"),
    @JsonProperty("recipeUnreadable")
    RECIPE_UNREADABLE(Kind.INPUT, "why"),
    @JsonProperty("recipeLength")
    RECIPE_LENGTH(Kind.INPUT, "most"),
    @JsonProperty("noSuchScanner")
    NO_SUCH_SCANNER(Kind.MISSING),
    @JsonProperty("sayWhichStream")
    SAY_WHICH_STREAM(Kind.INPUT),
    @JsonProperty("scanningAlready")
    SCANNING_ALREADY(Kind.NOW, "batch"),
    @JsonProperty("nothingScanned")
    NOTHING_SCANNED(Kind.MISSING, "batch"),
    @JsonProperty("noSuchSize")
    NO_SUCH_SIZE(Kind.INPUT, "size"),
    @JsonProperty("splitIntoPages")
    SPLIT_INTO_PAGES(Kind.INPUT),
    @JsonProperty("noSheetRule")
    NO_SHEET_RULE(Kind.INPUT, "stream"),
    @JsonProperty("sheetCount")
    SHEET_COUNT(Kind.INPUT, "most"),
    @JsonProperty("noSuchColumn")
    NO_SUCH_COLUMN(Kind.INPUT, "register", "column"),
    @JsonProperty("noSuchRow")
    NO_SUCH_ROW(Kind.INPUT, "register", "words"),
    @JsonProperty("noSuchSample")
    NO_SUCH_SAMPLE(Kind.MISSING, "stream"),
    @JsonProperty("streamWentOn")
    STREAM_WENT_ON(Kind.NOW, "batch", "version", "newest"),
    @JsonProperty("streamNeedsName")
    STREAM_NEEDS_NAME(Kind.INPUT),
    /** Somebody else changed the draft of a stream. */
    @JsonProperty("draftChanged")
    DRAFT_CHANGED(Kind.NOW, "who"),
    @JsonProperty("streamSavedMeanwhile")
    STREAM_SAVED_MEANWHILE(Kind.NOW, "newest", "base"),
    @JsonProperty("worseWithoutAWord")
    WORSE_WITHOUT_A_WORD(Kind.NOW, "n"),
    @JsonProperty("sampleAlready")
    SAMPLE_ALREADY(Kind.NOW, "page"),
    @JsonProperty("otherStream")
    OTHER_STREAM(Kind.INPUT, "batch"),
    @JsonProperty("versionCame")
    VERSION_CAME(Kind.NOW, "newest"),
    @JsonProperty("bundleFromNewer")
    BUNDLE_FROM_NEWER(Kind.INPUT, "form", "known"),
    @JsonProperty("noBundle")
    NO_BUNDLE(Kind.INPUT),
    @JsonProperty("draftIsThere")
    DRAFT_IS_THERE(Kind.NOW, "title", "who"),
    /** The draft was tried on no page. */
    @JsonProperty("untried")
    UNTRIED(Kind.NOW),
    @JsonProperty("noPaperSaid")
    NO_PAPER_SAID(Kind.INPUT),
    @JsonProperty("noSamplesYet")
    NO_SAMPLES_YET(Kind.NOW, "stream"),
    @JsonProperty("streamRenamed")
    STREAM_RENAMED(Kind.INPUT, "stream", "named"),
    @JsonProperty("streamIsThere")
    STREAM_IS_THERE(Kind.INPUT, "title"),
    @JsonProperty("typeNeedsName")
    TYPE_NEEDS_NAME(Kind.INPUT),
    @JsonProperty("layoutNeedsName")
    LAYOUT_NEEDS_NAME(Kind.INPUT),
    @JsonProperty("typeIsThere")
    TYPE_IS_THERE(Kind.INPUT, "type"),
    @JsonProperty("notADocument")
    NOT_A_DOCUMENT(Kind.NOW, "page"),
    @JsonProperty("documentWithAnother")
    DOCUMENT_WITH_ANOTHER(Kind.NOW, "who", "batch"),
    @JsonProperty("noSuchStream")
    NO_SUCH_STREAM(Kind.MISSING, "stream"),
    @JsonProperty("noSuchVersion")
    NO_SUCH_VERSION(Kind.MISSING, "version", "stream"),
    @JsonProperty("streamUnusable")
    STREAM_UNUSABLE(Kind.INPUT, "faults"),
    @JsonProperty("registerName")
    REGISTER_NAME(Kind.INPUT),
    @JsonProperty("noSuchRegister")
    NO_SUCH_REGISTER(Kind.MISSING, "name"),
    @JsonProperty("registerEmpty")
    REGISTER_EMPTY(Kind.INPUT, "faults"),
    /** Streams look things up in a column that it has no more. */
    @JsonProperty("registerColumnGone")
    REGISTER_COLUMN_GONE(Kind.INPUT, "register", "column", "streams"),
    @JsonProperty("registerHalfGone")
    REGISTER_HALF_GONE(Kind.NOW, "went", "before"),
    @JsonProperty("sourceNeeds")
    SOURCE_NEEDS(Kind.INPUT),
    @JsonProperty("sourceOneSelect")
    SOURCE_ONE_SELECT(Kind.INPUT),
    @JsonProperty("sourceRefused")
    SOURCE_REFUSED(Kind.NOW, "host", "user"),
    @JsonProperty("sourceUnreachable")
    SOURCE_UNREACHABLE(Kind.NOW, "host"),
    @JsonProperty("sourceQuery")
    SOURCE_QUERY(Kind.NOW, "why"),
    @JsonProperty("sourceTooSlow")
    SOURCE_TOO_SLOW(Kind.NOW, "seconds"),
    @JsonProperty("sourceTooMuch")
    SOURCE_TOO_MUCH(Kind.NOW, "rows"),
    @JsonProperty("sourceNothing")
    SOURCE_NOTHING(Kind.NOW),
    @JsonProperty("sourceNoFile")
    SOURCE_NO_FILE(Kind.NOW, "file"),
    @JsonProperty("sourceFileLarge")
    SOURCE_FILE_LARGE(Kind.NOW, "file", "megabytes"),
    @JsonProperty("sourceFileChanging")
    SOURCE_FILE_CHANGING(Kind.NOW, "file"),
    @JsonProperty("registerNotTaken")
    REGISTER_NOT_TAKEN(Kind.NOW, "why"),
    @JsonProperty("noSource")
    NO_SOURCE(Kind.MISSING, "register"),
    @JsonProperty("sourcesUnreadable")
    SOURCES_UNREADABLE(Kind.INPUT, "why"),
    @JsonProperty("beingDelivered")
    BEING_DELIVERED(Kind.NOW),
    @JsonProperty("whyOnHold")
    WHY_ON_HOLD(Kind.INPUT),
    @JsonProperty("whyWithdrawn")
    WHY_WITHDRAWN(Kind.INPUT),
    @JsonProperty("nothingToUndo")
    NOTHING_TO_UNDO(Kind.NOW),
    @JsonProperty("nothingToDoAgain")
    NOTHING_TO_DO_AGAIN(Kind.NOW),
    @JsonProperty("deliveryIsDone")
    DELIVERY_IS_DONE(Kind.NOW),
    @JsonProperty("deliveryLeftOut")
    DELIVERY_LEFT_OUT(Kind.NOW),
    @JsonProperty("folderNotReadable")
    FOLDER_NOT_READABLE(Kind.NOW, "folder"),
    @JsonProperty("folderNotWritable")
    FOLDER_NOT_WRITABLE(Kind.NOW, "folder"),
    @JsonProperty("folderGone")
    FOLDER_GONE(Kind.NOW, "folder"),
    @JsonProperty("folderDenied")
    FOLDER_DENIED(Kind.NOW, "path"),
    @JsonProperty("folderDisk")
    FOLDER_DISK(Kind.NOW, "folder", "why"),
    @JsonProperty("folderNotLookedAt")
    FOLDER_NOT_LOOKED_AT(Kind.NOW, "folder", "why"),
    @JsonProperty("subFolderUnnamed")
    SUB_FOLDER_UNNAMED(Kind.NOW, "folder"),
    @JsonProperty("linkNotFollowed")
    LINK_NOT_FOLLOWED(Kind.NOW, "path"),
    @JsonProperty("fileTriedAgain")
    FILE_TRIED_AGAIN(Kind.NOW, "file", "why"),
    @JsonProperty("fileWrittenMeanwhile")
    FILE_WRITTEN_MEANWHILE(Kind.NOW, "file"),
    @JsonProperty("passwordOfAnother")
    PASSWORD_OF_ANOTHER(Kind.NOW),
    @JsonProperty("mailFolderMissing")
    MAIL_FOLDER_MISSING(Kind.NOW, "user", "host", "folder"),
    @JsonProperty("mailRefused")
    MAIL_REFUSED(Kind.NOW, "host", "user"),
    @JsonProperty("mailFolderGone")
    MAIL_FOLDER_GONE(Kind.NOW, "folder"),
    @JsonProperty("mailServer")
    MAIL_SERVER(Kind.NOW, "host", "why"),
    @JsonProperty("mailNotFetched")
    MAIL_NOT_FETCHED(Kind.NOW, "host", "why"),
    @JsonProperty("mailFolderNotMade")
    MAIL_FOLDER_NOT_MADE(Kind.NOW, "folder"),
    @JsonProperty("noFolderRoots")
    NO_FOLDER_ROOTS(Kind.INPUT),
    @JsonProperty("folderOutside")
    FOLDER_OUTSIDE(Kind.INPUT, "folder", "roots"),
    @JsonProperty("folderOwn")
    FOLDER_OWN(Kind.INPUT, "folder"),
    @JsonProperty("folderShared")
    FOLDER_SHARED(Kind.INPUT, "channel", "folder"),
    @JsonProperty("lineFull")
    LINE_FULL(Kind.NOW, "pages"),
    @JsonProperty("channelBroke")
    CHANNEL_BROKE(Kind.NOW, "why"),
    @JsonProperty("leftHalfTaken")
    LEFT_HALF_TAKEN(Kind.NOW, "file", "why"),
    @JsonProperty("deliveryNameTaken")
    DELIVERY_NAME_TAKEN(Kind.NOW, "path"),
    @JsonProperty("deliveryPageLost")
    DELIVERY_PAGE_LOST(Kind.NOW, "why"),
    @JsonProperty("deliveryNotWritten")
    DELIVERY_NOT_WRITTEN(Kind.NOW, "attempts", "why"),
    @JsonProperty("placeName")
    PLACE_NAME(Kind.INPUT),
    @JsonProperty("placeAddress")
    PLACE_ADDRESS(Kind.INPUT),
    @JsonProperty("placeUsed")
    PLACE_USED(Kind.NOW, "place", "streams"),
    @JsonProperty("noSuchPlace")
    NO_SUCH_PLACE(Kind.INPUT, "place"),
    @JsonProperty("placesUnreadable")
    PLACES_UNREADABLE(Kind.INPUT, "why"),
    @JsonProperty("placeNotReached")
    PLACE_NOT_REACHED(Kind.NOW, "address"),
    @JsonProperty("placeHostKey")
    PLACE_HOST_KEY(Kind.INPUT, "key"),
    @JsonProperty("placeOtherHostKey")
    PLACE_OTHER_HOST_KEY(Kind.NOW, "key"),
    @JsonProperty("placeNotTrusted")
    PLACE_NOT_TRUSTED(Kind.NOW, "host"),
    @JsonProperty("placeFull")
    PLACE_FULL(Kind.NOW, "where"),
    @JsonProperty("placeNotLetIn")
    PLACE_NOT_LET_IN(Kind.NOW, "user"),
    @JsonProperty("placeBadKey")
    PLACE_BAD_KEY(Kind.INPUT),
    @JsonProperty("placeNoSecret")
    PLACE_NO_SECRET(Kind.INPUT),
    @JsonProperty("placeNoFolder")
    PLACE_NO_FOLDER(Kind.NOW, "folder"),
    @JsonProperty("placeNotAllowed")
    PLACE_NOT_ALLOWED(Kind.NOW, "path"),
    @JsonProperty("placeNotTheSame")
    PLACE_NOT_THE_SAME(Kind.NOW, "path"),
    @JsonProperty("sayWhyLeftOut")
    SAY_WHY_LEFT_OUT(Kind.INPUT),
    @JsonProperty("deliveryPathTooLong")
    DELIVERY_PATH_TOO_LONG(Kind.NOW, "path"),
    @JsonProperty("wishTooLong")
    WISH_TOO_LONG(Kind.INPUT, "most"),
    @JsonProperty("notFiledYet")
    NOT_FILED_YET(Kind.NOW, "batch"),
    @JsonProperty("placeWritesOver")
    PLACE_WRITES_OVER(Kind.NOW, "where"),
    @JsonProperty("placeTooLarge")
    PLACE_TOO_LARGE(Kind.NOW, "most"),
    @JsonProperty("placeLacks")
    PLACE_LACKS(Kind.NOW, "what"),
    @JsonProperty("deliveryFailed")
    DELIVERY_FAILED(Kind.NOW, "where", "why"),
    @JsonProperty("mailTriedAgain")
    MAIL_TRIED_AGAIN(Kind.NOW, "subject", "sender", "why"),
    @JsonProperty("scanStopped")
    SCAN_STOPPED(Kind.NOW, "sheets"),
    @JsonProperty("scanServerStopped")
    SCAN_SERVER_STOPPED(Kind.NOW, "sheets"),
    @JsonProperty("feederEmpty")
    FEEDER_EMPTY(Kind.NOW),
    @JsonProperty("scanBroke")
    SCAN_BROKE(Kind.NOW),
    @JsonProperty("scannerJam")
    SCANNER_JAM(Kind.NOW),
    @JsonProperty("scannerDoubleFeed")
    SCANNER_DOUBLE_FEED(Kind.NOW),
    @JsonProperty("scannerCoverOpen")
    SCANNER_COVER_OPEN(Kind.NOW),
    @JsonProperty("scannerNoEnd")
    SCANNER_NO_END(Kind.NOW),
    @JsonProperty("scannerStopped")
    SCANNER_STOPPED(Kind.NOW, "answer"),
    @JsonProperty("scannerHalfSheet")
    SCANNER_HALF_SHEET(Kind.NOW),
    @JsonProperty("scannerJobRefused")
    SCANNER_JOB_REFUSED(Kind.NOW, "answer"),
    @JsonProperty("scannerSentAway")
    SCANNER_SENT_AWAY(Kind.NOW, "address"),
    @JsonProperty("scannerEndlessPage")
    SCANNER_ENDLESS_PAGE(Kind.NOW),
    @JsonProperty("scannedPageCutShort")
    SCANNED_PAGE_CUT_SHORT(Kind.NOW),
    @JsonProperty("scannedPageUnreadable")
    SCANNED_PAGE_UNREADABLE(Kind.NOW, "why"),
    @JsonProperty("scannerAnswered")
    SCANNER_ANSWERED(Kind.NOW, "address", "answer"),
    @JsonProperty("scannerSilent")
    SCANNER_SILENT(Kind.NOW, "address"),
    @JsonProperty("scannerNotEscl")
    SCANNER_NOT_ESCL(Kind.NOW, "address"),
    @JsonProperty("sayWhy")
    SAY_WHY(Kind.INPUT, "most"),
    @JsonProperty("holdNeedsName")
    HOLD_NEEDS_NAME(Kind.INPUT, "most"),
    @JsonProperty("noSuchHold")
    NO_SUCH_HOLD(Kind.MISSING),
    @JsonProperty("documentErased")
    DOCUMENT_ERASED(Kind.NOW, "document", "batch"),
    @JsonProperty("pageErased")
    PAGE_ERASED(Kind.NOW, "page"),
    @JsonProperty("timeNotOver")
    TIME_NOT_OVER(Kind.NOW, "document", "batch"),
    @JsonProperty("documentHeld")
    DOCUMENT_HELD(Kind.NOW, "document", "batch", "hold"),
    @JsonProperty("notAllFiled")
    NOT_ALL_FILED(Kind.NOW, "document", "batch"),
    @JsonProperty("moreOnItsWay")
    MORE_ON_ITS_WAY(Kind.NOW, "document", "batch", "more"),
    @JsonProperty("listWrittenFirst")
    LIST_WRITTEN_FIRST(Kind.NOW),
    @JsonProperty("liesTogether")
    LIES_TOGETHER(Kind.NOW, "document", "batch", "other", "otherBatch"),
    @JsonProperty("tooManyAtOnce")
    TOO_MANY_AT_ONCE(Kind.INPUT, "most"),
    @JsonProperty("cameWhileErased")
    CAME_WHILE_ERASED(Kind.NOW, "file"),
    @JsonProperty("signedInByDirectory")
    SIGNED_IN_BY_DIRECTORY(Kind.NOW, "person"),
    @JsonProperty("groupFollowed")
    GROUP_FOLLOWED(Kind.INPUT, "directoryGroup", "group"),
    @JsonProperty("directoryNoRole")
    DIRECTORY_NO_ROLE(Kind.FORBIDDEN, "person", "directory"),
    @JsonProperty("directoryTaken")
    DIRECTORY_TAKEN(Kind.FORBIDDEN, "person", "directory"),
    @JsonProperty("directoryLocked")
    DIRECTORY_LOCKED(Kind.FORBIDDEN, "person"),
    @JsonProperty("directoryName")
    DIRECTORY_NAME(Kind.FORBIDDEN, "person", "directory"),
    @JsonProperty("batchOfAnotherStream")
    BATCH_OF_ANOTHER_STREAM(Kind.INPUT, "batch", "stream"),
    @JsonProperty("leftTheHouse")
    LEFT_THE_HOUSE(Kind.NOW, "destination"),
    @JsonProperty("goesOnThere")
    GOES_ON_THERE(Kind.NOW, "document", "destination"),
    @JsonProperty("changedSinceFiled")
    CHANGED_SINCE_FILED(Kind.NOW, "file", "destination"),
    @JsonProperty("heldOrErased")
    HELD_OR_ERASED(Kind.NOW, "batch"),
    /** Kept from before problems had codes: the words as they were written down. */
    @JsonProperty("asWritten")
    AS_WRITTEN(Kind.NOW, "text");

    /** Whose turn it is. */
    private enum Kind {
        /** What was named is not there. */
        MISSING(HttpStatus.NOT_FOUND),
        FORBIDDEN(HttpStatus.FORBIDDEN),
        /** Not as things stand. */
        NOW(HttpStatus.CONFLICT),
        /** Something of the machine, whoever asks and for what. */
        MACHINE(HttpStatus.INSUFFICIENT_STORAGE),
        /** What was sent. */
        INPUT(HttpStatus.UNPROCESSABLE_CONTENT);

        private final HttpStatus status;

        Kind(HttpStatus status) {
            this.status = status;
        }
    }

    private final Kind kind;
    private final List<String> parts;

    Problem(Kind kind, String... parts) {
        this.kind = kind;
        this.parts = List.of(parts);
    }

    public List<String> parts() {
        return parts;
    }

    HttpStatus status() {
        return kind.status;
    }

    boolean isMachine() {
        return kind == Kind.MACHINE;
    }

    /** @param values one for each part, in their order */
    public NotPossible with(Object... values) {
        return new NotPossible(this, Parts.of(this, parts, values));
    }
}
