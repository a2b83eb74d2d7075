package jalon.bench.paper;

import java.util.List;
import java.util.Locale;
import java.util.Random;

/** Words that forms, letters and lists of one language are made of. Prose is strung together from single words. */
record Speech(
        Locale locale,
        List<String> greetings,
        List<String> closings,
        List<String> subjects,
        List<String> acts,
        List<String> things,
        List<String> labels,
        List<String> columns,
        List<String> prose,
        String page,
        String of,
        String carried,
        List<String> places) {

    private static List<String> split(String words) {
        return List.of(words.split("\\|"));
    }

    private static Speech of(String tag, String... parts) {
        return new Speech(
                Locale.forLanguageTag(tag),
                split(parts[0]),
                split(parts[1]),
                split(parts[2]),
                split(parts[3]),
                split(parts[4]),
                split(parts[5]),
                split(parts[6]),
                List.of(parts[7].split(" ")),
                parts[8],
                parts[9],
                parts[10],
                split(parts[11]));
    }

    static final List<Speech> ALL = List.of(
            of(
                    "en-GB",
                    "Dear Sir or Madam|Dear Mrs Harrowby|Dear Mr Tolland|Dear colleagues|To whom it may concern",
                    "Yours faithfully|Yours sincerely|Kind regards|With best wishes",
                    "Your letter of last week|Repair of the sluice|Renewal of the lease|Change of address|Late payment",
                    "Application for|Renewal of|Withdrawal of|Notice of|Request for|Declaration of|Change of|Report on",
                    "a parking permit|a garden plot|a water meter|child benefit|a market stall|a library card|sick leave|a hearing aid|street cleaning|a boat trailer|tree felling|a school place",
                    "Surname|First name|Date of birth|Street and number|Postcode|Town|Telephone|Employer|Occupation|Reason|Start date|End date|Number of persons|Account holder|Vehicle|Signature|Place and date|Remarks|Member number|Guardian|Nationality|Marital status|Income per month|Doctor|Policy number",
                    "Item|Quantity|Unit price|Amount|Date|Description|Reference|Balance",
                    "the of and to in we that your for with this not have been from will at our by which were after before during meter house river garden council letter month winter spring paper window bridge water school market repair since because although however between under record number office",
                    "Page",
                    "of",
                    "carried forward",
                    "Wexcombe|Thornaby Mill|Upper Skelling|Marrowdale"),
            of(
                    "de-DE",
                    "Sehr geehrte Damen und Herren|Sehr geehrte Frau Hallbach|Sehr geehrter Herr Zierold|Liebe Kolleginnen und Kollegen",
                    "Mit freundlichen Grüßen|Hochachtungsvoll|Freundliche Grüße|Mit besten Empfehlungen",
                    "Ihr Schreiben vom Vormonat|Instandsetzung der Schleuse|Verlängerung der Pacht|Änderung der Anschrift|Zahlungserinnerung",
                    "Antrag auf|Verlängerung von|Rücknahme von|Anzeige von|Anforderung von|Erklärung über|Änderung von|Bericht über",
                    "einen Parkausweis|einen Gartenplatz|einen Wasserzähler|Kindergeld|einen Marktstand|einen Leseausweis|Krankengeld|ein Hörgerät|Straßenreinigung|einen Anhänger|Baumfällung|einen Schulplatz",
                    "Familienname|Vorname|Geburtsdatum|Straße und Hausnummer|Postleitzahl|Wohnort|Telefon|Arbeitgeber|Beruf|Begründung|Beginn|Ende|Anzahl der Personen|Kontoinhaber|Kennzeichen|Unterschrift|Ort und Datum|Bemerkungen|Mitgliedsnummer|Vormund|Staatsangehörigkeit|Familienstand|Einkommen monatlich|Arzt|Versicherungsnummer",
                    "Position|Menge|Einzelpreis|Betrag|Datum|Bezeichnung|Beleg|Saldo",
                    "der die und das ist nicht mit von für auf dem den eine wir Ihnen haben wird bei nach über aus durch Zähler Haus Fluss Garten Gemeinde Brief Monat Winter Frühling Papier Fenster Brücke Wasser Schule Markt seit weil obwohl jedoch zwischen unter Nummer Amt werden können",
                    "Seite",
                    "von",
                    "Übertrag",
                    "Hohenlauch|Birkenzell|Unterweiler|Sandhorst"),
            of(
                    "fr-FR",
                    "Madame, Monsieur|Chère Madame Vaucresse|Cher Monsieur Tillard|Chers collègues",
                    "Veuillez agréer nos salutations distinguées|Cordialement|Avec nos meilleurs sentiments|Bien à vous",
                    "Votre lettre du mois dernier|Réparation de la vanne|Renouvellement du bail|Changement d'adresse|Rappel de paiement",
                    "Demande de|Renouvellement de|Retrait de|Avis de|Commande de|Déclaration de|Modification de|Rapport sur",
                    "carte de stationnement|jardin familial|compteur d'eau|allocation familiale|place de marché|carte de lecteur|congé de maladie|appareil auditif|nettoyage de rue|remorque de bateau|abattage d'arbre|place d'école",
                    "Nom de famille|Prénom|Date de naissance|Rue et numéro|Code postal|Commune|Téléphone|Employeur|Profession|Motif|Date de début|Date de fin|Nombre de personnes|Titulaire du compte|Véhicule|Signature|Lieu et date|Observations|Numéro de membre|Tuteur|Nationalité|État civil|Revenu mensuel|Médecin|Numéro de police",
                    "Article|Quantité|Prix unitaire|Montant|Date|Désignation|Pièce|Solde",
                    "le la les des et une que nous vous pour avec dans sur pas est sont été par plus votre notre cette après avant pendant compteur maison rivière jardin mairie lettre mois hiver printemps papier fenêtre pont eau école marché depuis parce toutefois entre sous numéro bureau",
                    "Page",
                    "sur",
                    "à reporter",
                    "Saint-Aubray|Montverdier|Crozelles|La Fournère"),
            of(
                    "es-ES",
                    "Estimados señores|Estimada señora Quirantes|Muy señor mío|Apreciados compañeros",
                    "Atentamente|Reciban un cordial saludo|Saludos cordiales|Sin otro particular",
                    "Su carta del mes pasado|Reparación de la compuerta|Renovación del contrato|Cambio de domicilio|Aviso de pago",
                    "Solicitud de|Renovación de|Retirada de|Aviso de|Pedido de|Declaración de|Cambio de|Informe sobre",
                    "tarjeta de aparcamiento|huerto municipal|contador de agua|ayuda familiar|puesto de mercado|carné de lector|baja por enfermedad|audífono|limpieza de calle|remolque de barca|tala de árbol|plaza escolar",
                    "Apellidos|Nombre|Fecha de nacimiento|Calle y número|Código postal|Localidad|Teléfono|Empresa|Profesión|Motivo|Fecha de inicio|Fecha final|Número de personas|Titular de la cuenta|Vehículo|Firma|Lugar y fecha|Observaciones|Número de socio|Tutor|Nacionalidad|Estado civil|Ingresos mensuales|Médico|Número de póliza",
                    "Artículo|Cantidad|Precio|Importe|Fecha|Concepto|Documento|Saldo",
                    "el la los las de y que en un una por con para no se su nos ha sido este después antes durante contador casa río jardín ayuntamiento carta mes invierno primavera papel ventana puente agua escuela mercado desde porque aunque entre bajo número oficina",
                    "Página",
                    "de",
                    "suma y sigue",
                    "Valdecorzo|Puerto Sereno|Villarejos|Monteagrio"),
            of(
                    "it-IT",
                    "Gentili signori|Gentile signora Baldassi|Egregio signor Torrini|Cari colleghi",
                    "Distinti saluti|Cordiali saluti|Con i migliori saluti|Vogliate gradire i nostri saluti",
                    "La vostra lettera del mese scorso|Riparazione della chiusa|Rinnovo del contratto|Cambio di indirizzo|Sollecito di pagamento",
                    "Domanda di|Rinnovo di|Ritiro di|Avviso di|Richiesta di|Dichiarazione di|Modifica di|Relazione su",
                    "permesso di sosta|orto comunale|contatore dell'acqua|assegno familiare|posto di mercato|tessera di lettura|congedo per malattia|apparecchio acustico|pulizia della strada|rimorchio per barca|taglio di alberi|posto a scuola",
                    "Cognome|Nome|Data di nascita|Via e numero|Codice postale|Comune|Telefono|Datore di lavoro|Professione|Motivo|Data di inizio|Data di fine|Numero di persone|Intestatario del conto|Veicolo|Firma|Luogo e data|Osservazioni|Numero di socio|Tutore|Cittadinanza|Stato civile|Reddito mensile|Medico|Numero di polizza",
                    "Articolo|Quantità|Prezzo|Importo|Data|Descrizione|Documento|Saldo",
                    "il la le gli di e che in un una per con non si nostro vostro è stato questo dopo prima durante contatore casa fiume giardino comune lettera mese inverno primavera carta finestra ponte acqua scuola mercato dal perché anche tra sotto numero ufficio",
                    "Pagina",
                    "di",
                    "da riportare",
                    "Castelverna|Montarioso|Rivabella|San Dorato"),
            of(
                    "nl-NL",
                    "Geachte heer, mevrouw|Geachte mevrouw Verhoog|Geachte heer Smeding|Beste collega's",
                    "Met vriendelijke groet|Hoogachtend|Vriendelijke groeten|Met de meeste hoogachting",
                    "Uw brief van vorige maand|Herstel van de sluis|Verlenging van de pacht|Wijziging van adres|Herinnering",
                    "Aanvraag van|Verlenging van|Intrekking van|Melding van|Verzoek om|Verklaring over|Wijziging van|Verslag over",
                    "een parkeerkaart|een volkstuin|een watermeter|kinderbijslag|een marktkraam|een lezerspas|ziekteverlof|een hoortoestel|straatreiniging|een boottrailer|het kappen van een boom|een schoolplaats",
                    "Achternaam|Voornaam|Geboortedatum|Straat en nummer|Postcode|Woonplaats|Telefoon|Werkgever|Beroep|Reden|Begindatum|Einddatum|Aantal personen|Rekeninghouder|Kenteken|Handtekening|Plaats en datum|Opmerkingen|Lidnummer|Voogd|Nationaliteit|Burgerlijke staat|Inkomen per maand|Huisarts|Polisnummer",
                    "Artikel|Aantal|Prijs|Bedrag|Datum|Omschrijving|Stuk|Saldo",
                    "de het een en van is niet met voor op aan wij u hebben wordt bij na over uit door meter huis rivier tuin gemeente brief maand winter lente papier raam brug water school markt sinds omdat hoewel echter tussen onder nummer kantoor worden kunnen",
                    "Pagina",
                    "van",
                    "transport",
                    "Oudewaard|Zuiderhoek|Klaverdam|Rietveen"),
            of(
                    "sv-SE",
                    "Bästa fru Lindhagen|Hej|Till den det berör|Bäste herr Torgård",
                    "Med vänlig hälsning|Högaktningsfullt|Vänliga hälsningar|Bästa hälsningar",
                    "Ert brev från förra månaden|Lagning av slussen|Förlängning av arrendet|Ny adress|Påminnelse",
                    "Ansökan om|Förlängning av|Återkallelse av|Anmälan om|Begäran om|Förklaring om|Ändring av|Rapport om",
                    "parkeringstillstånd|odlingslott|vattenmätare|barnbidrag|torgplats|lånekort|sjukpenning|hörapparat|gatustädning|båtsläp|trädfällning|skolplats",
                    "Efternamn|Förnamn|Födelsedatum|Gata och nummer|Postnummer|Ort|Telefon|Arbetsgivare|Yrke|Orsak|Startdatum|Slutdatum|Antal personer|Kontohavare|Fordon|Underskrift|Ort och datum|Anmärkningar|Medlemsnummer|Förmyndare|Medborgarskap|Civilstånd|Inkomst per månad|Läkare|Försäkringsnummer",
                    "Artikel|Antal|Pris|Belopp|Datum|Beskrivning|Verifikat|Saldo",
                    "och att det som en på är av för med till den har inte om vi er ett men från efter innan under mätare hus älv trädgård kommun brev månad vinter vår papper fönster bro vatten skola torg sedan eftersom dock mellan nummer kontor blir kan",
                    "Sida",
                    "av",
                    "transporteras",
                    "Granvik|Östhammarby|Kvarnfors|Lillnäset"),
            of(
                    "pl-PL",
                    "Szanowni Państwo|Szanowna Pani|Szanowny Panie|Drodzy koledzy",
                    "Z poważaniem|Z wyrazami szacunku|Łączę pozdrowienia|Serdecznie pozdrawiam",
                    "Państwa list z zeszłego miesiąca|Naprawa śluzy|Przedłużenie dzierżawy|Zmiana adresu|Przypomnienie",
                    "Wniosek o|Przedłużenie|Wycofanie|Zgłoszenie|Prośba o|Oświadczenie o|Zmiana|Raport o",
                    "kartę parkingową|działkę ogrodową|licznik wody|zasiłek rodzinny|stoisko targowe|kartę czytelnika|zwolnienie lekarskie|aparat słuchowy|sprzątanie ulicy|przyczepę do łodzi|wycinkę drzewa|miejsce w szkole",
                    "Nazwisko|Imię|Data urodzenia|Ulica i numer|Kod pocztowy|Miejscowość|Telefon|Pracodawca|Zawód|Powód|Data rozpoczęcia|Data zakończenia|Liczba osób|Posiadacz konta|Pojazd|Podpis|Miejsce i data|Uwagi|Numer członka|Opiekun|Obywatelstwo|Stan cywilny|Dochód miesięczny|Lekarz|Numer polisy",
                    "Pozycja|Ilość|Cena|Kwota|Data|Opis|Dokument|Saldo",
                    "i w na do nie się że z jest to od po przez dla jak o ale już był będzie licznik dom rzeka ogród gmina list miesiąc zima wiosna papier okno most woda szkoła targ ponieważ jednak między pod numer biuro oraz także",
                    "Strona",
                    "z",
                    "do przeniesienia",
                    "Brzezinowo|Dolna Kępa|Zamłynie|Wysoka Wola"));

    String any(List<String> words, Random r) {
        return words.get(r.nextInt(words.size()));
    }

    /** A sentence of so many words. */
    String sentence(int words, Random r) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < words; i++) {
            String w = any(prose, r);
            out.append(i == 0 ? w.substring(0, 1).toUpperCase(locale) + w.substring(1) : " " + w);
        }
        return out.append('.').toString();
    }
}
