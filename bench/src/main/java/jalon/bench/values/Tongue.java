package jalon.bench.values;

import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Words that letters, forms and bills of one language are made of. */
record Tongue(Locale locale, Map<Says, String> says, List<String> names, List<String> prose) {

    /** What stands before values. */
    enum Says {
        YOUR_REF,
        OUR_REF,
        DATE,
        BORN,
        DUE,
        TOTAL,
        SUBTOTAL,
        TAX,
        CUSTOMER,
        NAME,
        BANK
    }

    String word(Says what) {
        return says.get(what);
    }

    private static Tongue of(String tag, String says, String names, String... prose) {
        String[] words = says.split("\\|");
        var map = new java.util.EnumMap<Says, String>(Says.class);
        for (Says s : Says.values()) {
            map.put(s, words[s.ordinal()]);
        }
        return new Tongue(Locale.forLanguageTag(tag), map, List.of(names.split("\\|")), List.of(prose));
    }

    static final List<Tongue> ALL = List.of(
            of(
                    "en-GB",
                    "Your ref|Our ref|Date|Date of birth|Payable by|Total due|Subtotal|VAT|Customer no|Name|Bank",
                    "Imogen Farrow|Aled Penhale|Rosalind Thackwray|Edmund Quillsby|Zoë Brackenbury|Chloë Amhurst",
                    "We have looked at the pump beside the lower weir and found it in good order.",
                    "The meter was read in the week after the storm, and nobody had touched the seal.",
                    "Please let us know whether the gate may stay open until the end of the season.",
                    "Our engineer will call again as soon as the parts have come from the works.",
                    "The account that you sent us does not agree with what was said on the telephone."),
            of(
                    "de-DE",
                    "Ihr Zeichen|Unser Zeichen|Datum|Geburtsdatum|Zahlbar bis|Gesamtbetrag|Zwischensumme|MwSt|Kundennummer|Name|Bankverbindung",
                    "Jörg Müßigmann|Käthe Bröhl|Günther Wölfel|Ännchen Straußberg|Lüder Hägelin|Björn Kützow",
                    "Die Pumpe am unteren Wehr wurde geprüft und für gut befunden.",
                    "Der Zähler ist in der Woche nach dem Sturm abgelesen worden, das Siegel war heil.",
                    "Bitte teilen Sie uns mit, ob das Tor bis zum Ende der Saison offen bleiben darf.",
                    "Unser Monteur kommt wieder vorbei, sobald die Teile aus dem Werk da sind."),
            of(
                    "fr-FR",
                    "Votre référence|Notre référence|Date|Né le|Payable avant le|Total à payer|Sous-total|TVA|Numéro de client|Nom|Banque",
                    "Hélène Fournéry|Benoît Lefèvrot|Chloé Bérangère|Gaël Prévostin|Thérèse Crémieuse|Anaïs Dûchesne",
                    "La pompe près du barrage a été examinée et trouvée en bon état.",
                    "Le compteur a été relevé la semaine qui a suivi la tempête.",
                    "Veuillez nous dire si la porte peut rester ouverte jusqu'à la fin de la saison.",
                    "Notre technicien passera de nouveau dès que les pièces seront arrivées."),
            of(
                    "es-ES",
                    "Su referencia|Nuestra referencia|Fecha|Nacido el|Pagadero antes del|Total a pagar|Base|IVA|Número de cliente|Nombre|Banco",
                    "Íñigo Cañadán|Lucía Peñarruz|José Ordóñiga|María Ibáñecer|Ángel Núñovar|Begoña Zúñarte",
                    "La bomba junto a la presa fue examinada y se encontró en buen estado.",
                    "El contador se leyó en la semana después de la tormenta.",
                    "Le rogamos que nos diga si la puerta puede quedar abierta hasta el final.",
                    "Nuestro técnico volverá en cuanto lleguen las piezas de la fábrica."),
            of(
                    "it-IT",
                    "Vostro riferimento|Nostro riferimento|Data|Nato il|Pagabile entro|Totale da pagare|Imponibile|IVA|Codice cliente|Nome|Banca",
                    "Niccolò Bardùcci|Letizia Fogàr|Cosimo Tessaròl|Mirella Donà|Ettore Guarnèr|Giosuè Maltinti",
                    "La pompa vicino alla diga è stata esaminata e trovata in buono stato.",
                    "Il contatore è stato letto nella settimana dopo il temporale.",
                    "Vi preghiamo di farci sapere se il cancello può restare aperto.",
                    "Il nostro tecnico tornerà appena saranno arrivati i pezzi."),
            of(
                    "nl-NL",
                    "Uw kenmerk|Ons kenmerk|Datum|Geboren op|Te betalen voor|Totaal te voldoen|Subtotaal|BTW|Klantnummer|Naam|Bank",
                    "Joëlle Terbrugge|Daniël Wijngaerd|Loïs Vanderheul|Thijs Okkerman|Renée Slootwijk|Mattheüs Kroon",
                    "De pomp bij de onderste stuw is nagekeken en in orde bevonden.",
                    "De meter is opgenomen in de week na de storm, het zegel was heel.",
                    "Laat ons weten of het hek tot het einde van het seizoen open mag blijven."),
            of(
                    "pt-PT",
                    "Sua referência|Nossa referência|Data|Nascido em|Pagável até|Total a pagar|Subtotal|Imposto|Número de cliente|Nome|Banco",
                    "João Simãozal|Inês Conceirão|Antónia Magalhosa|Estêvão Brandel|Conceição Vilarim|Gonçalo Lourão",
                    "A bomba junto à barragem foi examinada e está em bom estado.",
                    "O contador foi lido na semana depois da tempestade.",
                    "Pedimos que nos diga se o portão pode ficar aberto até ao fim."),
            of(
                    "sv-SE",
                    "Er referens|Vår referens|Datum|Född|Betalas senast|Summa att betala|Delsumma|Moms|Kundnummer|Namn|Bankkonto",
                    "Åke Sjögårde|Östen Hällström|Märta Lövnäs|Göran Ängskog|Åsa Bäckvall|Sören Kråkmo",
                    "Pumpen vid den nedre dammen har granskats och är i gott skick.",
                    "Mätaren lästes av veckan efter stormen och ingen hade rört plomben.",
                    "Låt oss veta om grinden får stå öppen till slutet av säsongen."),
            of(
                    "pl-PL",
                    "Państwa znak|Nasz znak|Data|Urodzony|Płatne do|Razem do zapłaty|Netto|Podatek|Numer klienta|Nazwisko|Konto",
                    "Łucja Wiśniarz|Bożena Ślązkowa|Stanisław Młynarż|Grażyna Żurawińska|Mikołaj Dąbrowiec|Świętosława Kępa",
                    "Pompa przy dolnej śluzie została sprawdzona i jest w dobrym stanie.",
                    "Licznik odczytano w tygodniu po burzy, plomba była cała.",
                    "Prosimy o wiadomość, czy brama może pozostać otwarta."),
            of(
                    "cs-CZ",
                    "Vaše značka|Naše značka|Datum|Narozen|Splatno do|Celkem k úhradě|Základ|DPH|Číslo zákazníka|Jméno|Účet",
                    "Žofie Kočvarová|Jiří Přibáň|Zdeněk Řehůřka|Kateřina Čížková|Ondřej Šťastnil|Růžena Ďurišová",
                    "Čerpadlo u dolního jezu bylo prohlédnuto a je v dobrém stavu.",
                    "Vodoměr byl odečten v týdnu po bouři, plomba byla celá.",
                    "Sdělte nám prosím, zda může brána zůstat otevřená."));
}
