<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

/** What people write over columns and for storeys, in English, German, French, Spanish, Italian and Dutch: common practice of the trade. */
final class HeadingWords
{
    /** In English it counts, in German it marks. */
    public const MARK_OR_COUNT = 'nr';

    /** Beside the name of a storey they say that a column counts on it. */
    public const COUNTED = 'qty|count|quantity|nr|no|anzahl|stk|stück|nombre|qté|cantidad|uds|quantità|aantal';

    private const MARK = [
        'mark|ref|ref no|reference|no|number|id|code|tag|item|door no|window no|door mark|window mark|opening no|opening|unit|unit mark',
        'type mark',
        'pos|position|pos nr|posnr|nr|nummer|kennzeichen|kennung|tür nr|tür nummer|türnummer|fenster nr|fensternummer|element|elementnr',
        'repère|repere|rep|réf|référence|n|nº|no repère|numéro|numero|code menuiserie',
        'marca|referencia|código|codigo|cód|número|elemento|ref carpintería',
        'codice|cod|rif|riferimento|sigla|posizione|serramento',
        'merk|kozijnmerk|kozijn|kozijnnr|kozijnnummer|kenmerk|referentie',
    ];

    private const KIND = [
        'kind|type|description|desc|operation|style|what|unit type|window type|door type|opening type',
        'art|typ|beschreibung|bezeichnung|ausführung|öffnungsart|bauart|fenstertyp|türtyp|elementtyp',
        'désignation|designation|genre|nature|type d ouverture|mode d ouverture|ouverture|type de menuiserie',
        'tipo|descripción|descripcion|clase|apertura|designación|tipo de apertura',
        'tipologia|descrizione|tipo apertura|tipo di apertura|tipo serramento',
        'soort|omschrijving|uitvoering|draairichting|kozijntype|type kozijn',
    ];

    private const SIZE = [
        'size|w ?x ?h|w ?h|width ?x ?height|dimensions?|opening size|structural opening',
        'maße?|masse|größe|abmessung(en)?|b ?x ?h|breite ?x ?höhe|rohbaumaße?|lichtes maß',
        'l ?x ?h|format|taille|largeur ?x ?hauteur|dimensions? baie',
        'medidas?|dimensiones|tamaño|ancho ?x ?alto|a ?x ?h',
        'dimensioni|misure|larghezza ?x ?altezza|formato',
        'afmeting(en)?|maten|maat|breedte ?x ?hoogte',
    ];

    private const WIDTH = [
        'w|width|wide|b|overall width|opening width|structural width|so width|clear width|nominal width|unit width|frame width',
        'breite|rohbaubreite|lichte breite|breite rb|elementbreite',
        'largeur|larg|largeur baie|largeur tableau|largeur hors tout',
        'ancho|anchura|ancho hueco|ancho de hueco',
        'larghezza|largh|larg|larghezza foro',
        'breedte|dagmaat breedte|kozijnbreedte|sparingbreedte',
    ];

    private const HEIGHT = [
        'h|height|high|overall height|opening height|structural height|so height|nominal height|unit height|frame height',
        'höhe|hoehe|rohbauhöhe|lichte höhe|höhe rb|elementhöhe',
        'hauteur|haut|hauteur baie|hauteur tableau|hauteur hors tout',
        'alto|altura|alto hueco|altura hueco|alto de hueco',
        'altezza|alt|altezza foro',
        'hoogte|dagmaat hoogte|kozijnhoogte|sparinghoogte',
    ];

    private const SILL = [
        'sill|cill|sill height|cill height|sill level|sh|parapet|sill above floor|sill over floor|height of sill',
        'brüstung|brüstungshöhe|bruestung|bruestungshoehe|brh|brüstung über fb|ok brüstung',
        'allège|allege|hauteur d allège|hauteur allège|ht allège|h allège',
        'antepecho|altura antepecho|altura de antepecho|alféizar|alfeizar|altura alféizar',
        'davanzale|altezza davanzale|quota davanzale|parapetto|altezza parapetto|h davanzale|h parapetto',
        'borstwering|borstweringhoogte|borstweringshoogte|dorpelhoogte|onderdorpel|bovenkant onderdorpel',
    ];

    private const HEAD = [
        'head|head height|lintel|head level|head above floor',
        'sturz|sturzhöhe|uk sturz|sturzunterkante|unterkante sturz',
        'linteau|hauteur linteau|hauteur sous linteau|sous linteau|ht linteau',
        'dintel|altura dintel|altura de dintel|cota dintel',
        'architrave|altezza architrave|quota architrave',
        'latei|onderkant latei|bovendorpel|onderkant bovendorpel|lateihoogte',
    ];

    private const COUNT = [
        'count|qty|quantity|pcs|pieces|amount|how many|total|total qty|total no|number of|no off|off',
        'anzahl|stück|stk|stückzahl|menge|gesamt|anz',
        'quantité|quantite|qté|qte|nombre|nb|nbre|nbr|total général',
        'cantidad|cant|uds?|unidades|número de unidades',
        'quantità|quantita|qtà|qta|pezzi|pz|n pezzi|numero pezzi|totale',
        'aantal|stuks|hoeveelheid|totaal',
    ];

    private const STOREY = [
        'storey|story|floor|level|storeys|on storey|on floor',
        'geschoss|geschoß|stockwerk|etage|ebene|lage geschoss',
        'étage|niveau',
        'planta|piso|nivel',
        'piano|livello',
        'verdieping|bouwlaag|laag|niveau verdieping',
    ];

    private const ROLES = [
        'mark' => self::MARK, 'kind' => self::KIND, 'size' => self::SIZE, 'width' => self::WIDTH, 'height' => self::HEIGHT,
        'sill' => self::SILL, 'head' => self::HEAD, 'count' => self::COUNT, 'storey' => self::STOREY,
    ];

    /** A heading of more words says what it states with one of them: "height of sill over FFL", "qty. per block". */
    private const AMONG = [
        'sill' => '(sill|cill)s?|brüstung(shöhe)?|allège|antepecho|alféizar|davanzale|borstwering',
        'head' => 'head|lintel|sturz|linteau|dintel|architrave|latei',
        'width' => 'width|breite|largeur|ancho|larghezza|breedte',
        'height' => 'height|höhe|hauteur|alto|altura|altezza|hoogte',
        'count' => 'qty|quantity|anzahl|quantité|cantidad|quantità|aantal',
    ];

    private const LAST = 5;

    /** Storeys counted from the ground, by their words. */
    private const ORDINALS = [
        'ground|g|erdgeschoss|erdgeschoß|eg|parterre|rez de chaussée|rez de chaussee|rdc|planta baja|baja|pb|bajo|piano terra|terra|pt'
            .'|begane grond|bg',
        'first|erstes?|erste|premier|première|primer|primera|primero|primo|prima|eerste',
        'second|zweites?|zweite|deuxième|deuxieme|segunda|segundo|secondo|seconda|tweede',
        'third|drittes?|dritte|troisième|troisieme|tercera|tercero|tercer|terzo|terza|derde',
        'fourth|viertes?|vierte|quatrième|quatrieme|cuarta|cuarto|quarto|quarta|vierde',
        'fifth|fünftes?|fünfte|cinquième|cinquieme|quinta|quinto|vijfde',
    ];

    private const FLOOR = 'floor|level|storey|story|l|lvl|obergeschoss|obergeschoß|og|geschoss|geschoß|stock|stockwerk|étage|etage|niveau'
        .'|planta|piso|nivel|piano|livello|verdieping|bouwlaag';

    /** What a heading in plain words states: the value of a {@see Role}, or null. */
    public static function role(string $plain): ?string
    {
        /** @var array<string, string|null> $known */
        static $known = [];
        if (! array_key_exists($plain, $known)) {
            $known[$plain] = self::find($plain);
        }

        return $known[$plain];
    }

    private static function find(string $plain): ?string
    {
        // language by language: a word of one of them may be another in the next
        for ($i = 0; $i <= self::LAST + 1; $i++) {
            foreach (self::ROLES as $role => $words) {
                if (isset($words[$i]) && preg_match('/^('.$words[$i].')$/u', $plain) === 1) {
                    return $role;
                }
            }
        }
        foreach (self::AMONG as $role => $words) {
            if (preg_match('/(?<![\pL\d])('.$words.')(?![\pL\d])/u', $plain) === 1) {
                return $role;
            }
        }

        return null;
    }

    /** Which storey from the ground plain words name, 0 for the ground; null when they name none so. */
    public static function ordinal(string $plain): ?int
    {
        if (preg_match('/^r (\d{1,3})$/u', $plain, $m) === 1) {
            return (int) $m[1]; // R+1
        }
        $bare = trim((string) preg_replace(['/(?<!\pL)('.self::FLOOR.')(?!\pL)|^l(?=\d)/u', '/\s+/'], ['', ' '], $plain));
        if (preg_match('/^(\d{1,3})(st|nd|rd|th|er|re|e|è|ème|eme|de|ste|ª|º|a|o)?$/u', $bare, $m) === 1) {
            return (int) $m[1];
        }
        foreach (self::ORDINALS as $n => $words) {
            if (preg_match('/^('.$words.')$/u', $bare) === 1 || preg_match('/^('.$words.')$/u', $plain) === 1) {
                return $n;
            }
        }

        return null;
    }
}
