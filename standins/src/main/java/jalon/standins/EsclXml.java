package jalon.standins;

/** What the simulated scanner says of itself, in the XML of eSCL. */
final class EsclXml {
    static final String NAMES = " xmlns:scan=\"http://schemas.hp.com/imaging/escl/2011/05/03\""
            + " xmlns:pwg=\"http://www.pwg.org/schemas/2010/12/sm\"";
    static final String HEAD = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>";

    private EsclXml() {}

    static String capabilities() {
        String profile = "<scan:SettingProfiles><scan:SettingProfile><scan:ColorModes>"
                + "<scan:ColorMode>BlackAndWhite1</scan:ColorMode><scan:ColorMode>Grayscale8</scan:ColorMode>"
                + "<scan:ColorMode>RGB24</scan:ColorMode></scan:ColorModes><scan:DocumentFormats>"
                + "<pwg:DocumentFormat>image/jpeg</pwg:DocumentFormat><pwg:DocumentFormat>image/png</pwg:DocumentFormat>"
                + "<scan:DocumentFormatExt>image/jpeg</scan:DocumentFormatExt>"
                + "<scan:DocumentFormatExt>image/png</scan:DocumentFormatExt></scan:DocumentFormats>"
                + "<scan:SupportedResolutions><scan:DiscreteResolutions>" + resolution(150) + resolution(200)
                + resolution(300) + "</scan:DiscreteResolutions></scan:SupportedResolutions>"
                + "</scan:SettingProfile></scan:SettingProfiles>";
        String caps = "<scan:MinWidth>16</scan:MinWidth><scan:MaxWidth>2550</scan:MaxWidth>"
                + "<scan:MinHeight>16</scan:MinHeight><scan:MaxHeight>3508</scan:MaxHeight>"
                + "<scan:MaxScanRegions>1</scan:MaxScanRegions>" + profile
                + "<scan:SupportedIntents><scan:Intent>Document</scan:Intent></scan:SupportedIntents>";
        return HEAD + "<scan:ScannerCapabilities" + NAMES + "><pwg:Version>2.63</pwg:Version>"
                + "<pwg:MakeAndModel>Merrow simulated scanner</pwg:MakeAndModel>"
                + "<pwg:SerialNumber>MS-0001</pwg:SerialNumber><scan:UUID>6f5d1f4e-2b6f-4c11-9e9e-000000000001</scan:UUID>"
                + "<scan:Platen><scan:PlatenInputCaps>" + caps + "</scan:PlatenInputCaps></scan:Platen><scan:Adf>"
                + "<scan:AdfSimplexInputCaps>" + caps + "</scan:AdfSimplexInputCaps><scan:AdfDuplexInputCaps>" + caps
                + "</scan:AdfDuplexInputCaps><scan:FeederCapacity>100</scan:FeederCapacity><scan:AdfOptions>"
                + "<scan:AdfOption>DetectPaperLoaded</scan:AdfOption><scan:AdfOption>Duplex</scan:AdfOption>"
                + "</scan:AdfOptions></scan:Adf></scan:ScannerCapabilities>";
    }

    private static String resolution(int dpi) {
        return "<scan:DiscreteResolution><scan:XResolution>" + dpi + "</scan:XResolution><scan:YResolution>" + dpi
                + "</scan:YResolution></scan:DiscreteResolution>";
    }
}
