package jalon.server.intake;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeUtility;
import jalon.server.batch.Receiving;
import java.io.IOException;
import java.io.UnsupportedEncodingException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What of a mail is a file: attachments, those of forwarded mails inside it too, and pictures and PDFs in its text. The
 * small pictures of signatures are not.
 */
final class Attachments {
    /** Mails inside mails inside mails: nobody forwards deeper, but somebody may try. */
    private static final int DEEPEST = 10;

    private static final int SMALL_PICTURE = 20_000;
    private static final int MOST = 500;

    private Attachments() {}

    static List<Receiving.Incoming> of(Message mail) throws MessagingException, IOException {
        List<Receiving.Incoming> files = new ArrayList<>();
        collect(mail, files, 0);
        return files;
    }

    private static void collect(Part part, List<Receiving.Incoming> files, int depth)
            throws MessagingException, IOException {
        if (depth > DEEPEST || files.size() >= MOST) {
            return;
        }
        if (part.isMimeType("multipart/*") && part.getContent() instanceof Multipart parts) {
            for (int i = 0; i < parts.getCount(); i++) {
                collect(parts.getBodyPart(i), files, depth + 1);
            }
        } else if (part.isMimeType("message/rfc822") && part.getContent() instanceof Message inner) {
            collect(inner, files, depth + 1);
        } else if (isFile(part)) {
            files.add(new Receiving.Incoming(name(part, files.size() + 1), () -> stream(part)));
        }
    }

    private static java.io.InputStream stream(Part part) throws IOException {
        try {
            return part.getInputStream();
        } catch (MessagingException e) {
            throw new IOException(e.getMessage(), e);
        }
    }

    private static boolean isFile(Part part) throws MessagingException {
        boolean picture = part.isMimeType("image/*");
        if (picture && Part.INLINE.equalsIgnoreCase(part.getDisposition()) && part.getSize() < SMALL_PICTURE) {
            return false;
        }
        return Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition())
                || part.getFileName() != null
                || picture
                || part.isMimeType("application/pdf");
    }

    private static String name(Part part, int no) throws MessagingException {
        String name = part.getFileName();
        if (name == null) {
            String kind = part.getContentType().replaceFirst("[;\\s].*", "").toLowerCase(Locale.ROOT);
            return "attachment-" + no + "." + kind.replaceFirst(".*/", "");
        }
        try {
            return MimeUtility.decodeText(name);
        } catch (UnsupportedEncodingException e) {
            return name;
        }
    }
}
