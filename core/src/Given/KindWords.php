<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

/**
 * Words for kinds of windows and doors, and the mark of the ready type that each means: what must stand in plain words, all of it; of a
 * language the first that fits. English, German, French, Spanish, Italian and Dutch, by common practice of the trade.
 */
final class KindWords
{
    private const ENGLISH = [
        ['louv(re|er)', 'W-35'],
        ['(fold|bi fold|bifold)', 'D-14'],
        ['(slid|patio).*door|door.*slid', 'D-16'],
        ['(pair|double|two leaf|2 leaf|french|leaves).*door|door.*(pair|double|two leaf|2 leaf|leaves)', 'D-04'],
        ['door.*(side ?light|side ?screen)|(side ?light|side ?screen).*door', 'D-06'],
        ['door.*(top ?light|fan ?light|transom|over ?panel)|(top ?light|fan ?light|transom).*door', 'D-02'],
        ['(panelled|paneled|panel).*door', 'D-10'],
        ['(flush|solid|steel|fire|plant|service|blank).*door', 'D-08'],
        ['(part|half).*glazed.*door|vision panel', 'D-12'],
        ['door|leaf', 'D-01'],
        ['tilt', 'W-19'],
        ['(vertical|double|single|hung).*(slid|hung sash)|sash window|double hung|single hung|box sash', 'W-33'],
        ['slid', 'W-31'],
        ['(vertical).*pivot|pivot.*(vertical)', 'W-23'],
        ['pivot', 'W-21'],
        ['(top).*(hung).*(fixed)|awning.*fixed|fixed.*(top hung|awning)', 'W-15'],
        ['top.*hung|awning', 'W-13'],
        ['bottom.*hung|hopper', 'W-17'],
        ['(pair|double|two|2).*(side hung|casement|light|leaf)|(side hung|casement).*(pair|double)', 'W-03'],
        ['(three|3|triple).*(light|leaf|casement)', 'W-05'],
        ['(four|4).*(light|leaf|casement)', 'W-11'],
        ['side.*hung|casement|opening light|openable', 'W-02'],
        ['round|circular|porthole', 'W-39'],
        ['fixed|picture|direct glazed|non opening|window|glazed|glazing|light', 'W-01'],
    ];

    private const GERMAN = [
        ['lamellen', 'W-35'],
        ['falt', 'D-14'],
        ['(hebe ?)?schiebe ?tür|tür.*schieb', 'D-16'],
        ['doppel\pL*tür|(zwei|2) ?fl(üge?l|g)\pL*.*tür|\pL*tür.*(zwei|2) ?fl(üge?l|g)', 'D-04'],
        ['\pL*tür.*(seitenteil|seitenlicht)', 'D-06'],
        ['\pL*tür.*ober(licht|blende)', 'D-02'],
        ['kassetten\pL*tür|füllungstür', 'D-10'],
        ['(stahl|brandschutz|rauchschutz|vollblatt|voll|feuerschutz)\pL* ?\pL*tür', 'D-08'],
        ['\pL*tür.*(lichtausschnitt|teilverglast)', 'D-12'],
        ['\pL*türe?', 'D-01'],
        ['dreh ?kipp', 'W-19'],
        ['vertikal ?schieb', 'W-33'],
        ['schieb', 'W-31'],
        ['wende', 'W-23'],
        ['schwing', 'W-21'],
        ['klapp', 'W-13'],
        ['kipp', 'W-17'],
        ['(zwei|2) ?fl(üge?l|g)|stulp|zweiteilig', 'W-03'],
        ['(drei|3) ?fl(üge?l|g)|dreiteilig|3 ?teilig', 'W-05'],
        ['(vier|4) ?fl(üge?l|g)|vierteilig|4 ?teilig', 'W-11'],
        ['dreh|(ein|1) ?fl(üge?l|g)', 'W-02'],
        ['rund|bullauge', 'W-39'],
        ['fest|\pL*fenster|verglas', 'W-01'],
    ];

    private const FRENCH = [
        ['persienne|ventelle|jalousie', 'W-35'],
        ['porte.*(plian|accordéon)|pliant', 'D-14'],
        ['(porte|baie).*couliss', 'D-16'],
        ['porte.*(double|deux|2).*|double porte', 'D-04'],
        ['porte.*(latéral|latérale)', 'D-06'],
        ['porte.*imposte', 'D-02'],
        ['porte.*(panneau|moulurée)', 'D-10'],
        ['porte.*(pleine|métallique|coupe feu|acier|technique)', 'D-08'],
        ['porte.*(oculus|semi vitrée)', 'D-12'],
        ['porte', 'D-01'],
        ['oscillo', 'W-19'],
        ['guillotine', 'W-33'],
        ['couliss', 'W-31'],
        ['basculant', 'W-21'],
        ['projection|italienne', 'W-13'],
        ['soufflet', 'W-17'],
        ['(deux|2|double).*(vanta|battant)', 'W-03'],
        ['(trois|3).*(vanta|battant)', 'W-05'],
        ['(quatre|4).*(vanta|battant)', 'W-11'],
        ['ouvrant|battant|française|(un|1) vanta', 'W-02'],
        ['ronde?|œil|oeil|hublot', 'W-39'],
        ['fixe|fenêtre|vitrage|châssis', 'W-01'],
    ];

    private const SPANISH = [
        ['lamas|celosía', 'W-35'],
        ['plega', 'D-14'],
        ['puerta.*corred|corredera.*puerta', 'D-16'],
        ['puerta.*(doble|dos|2)|doble puerta', 'D-04'],
        ['puerta.*lateral', 'D-06'],
        ['puerta.*(montante|superior)', 'D-02'],
        ['puerta.*(cuarter|plafon)', 'D-10'],
        ['puerta.*(maciza|ciega|metálica|cortafuego)', 'D-08'],
        ['puerta.*mirilla', 'D-12'],
        ['puerta', 'D-01'],
        ['oscilo', 'W-19'],
        ['guillotina', 'W-33'],
        ['corred', 'W-31'],
        ['basculante', 'W-21'],
        ['proyect', 'W-13'],
        ['oscilante|abatible inferior', 'W-17'],
        ['(dos|2|doble).*hoja', 'W-03'],
        ['(tres|3).*hoja', 'W-05'],
        ['(cuatro|4).*hoja', 'W-11'],
        ['practicable|abatible|batiente', 'W-02'],
        ['redond|ojo de buey', 'W-39'],
        ['fij[oa]|ventana|acristala', 'W-01'],
    ];

    private const ITALIAN = [
        ['lamelle|persiana', 'W-35'],
        ['libro|pieghevol', 'D-14'],
        ['porta.*scorr', 'D-16'],
        ['porta.*(due|2|doppi)', 'D-04'],
        ['porta.*(fianc|lateral)', 'D-06'],
        ['porta.*sopraluce', 'D-02'],
        ['porta.*(bugn|pannell)', 'D-10'],
        ['porta.*(cieca|blindata|metallica|tagliafuoco|piena)', 'D-08'],
        ['porta.*(oblò|mezzo vetro)', 'D-12'],
        ['porta|portoncino', 'D-01'],
        ['(anta )?ribalta', 'W-19'],
        ['saliscendi|ghigliottina', 'W-33'],
        ['scorr', 'W-31'],
        ['bilico vert', 'W-23'],
        ['bilico', 'W-21'],
        ['sporgere', 'W-13'],
        ['vasistas|wasistas', 'W-17'],
        ['(due|2|doppi).*ant', 'W-03'],
        ['(tre|3).*ant', 'W-05'],
        ['(quattro|4).*ant', 'W-11'],
        ['battente|anta', 'W-02'],
        ['tond|rotond|oblò', 'W-39'],
        ['fiss|finestra|vetrata', 'W-01'],
    ];

    private const DUTCH = [
        ['lamel|rooster', 'W-35'],
        ['vouw', 'D-14'],
        ['(hef ?)?schuif ?(deur|pui)', 'D-16'],
        ['dubbele? (\pL+ )?deur|openslaande deur|\pL*deur.*dubbel', 'D-04'],
        ['\pL*deur.*zijlicht', 'D-06'],
        ['\pL*deur.*bovenlicht', 'D-02'],
        ['paneel ?deur', 'D-10'],
        ['(stalen|vlakke|dichte|brandwerende|stompe).*deur', 'D-08'],
        ['\pL*deur.*(glasopening|half)', 'D-12'],
        ['\pL*deur', 'D-01'],
        ['draai ?kiep', 'W-19'],
        ['verticaal.*schuif|schuif.*verticaal', 'W-33'],
        ['schuif', 'W-31'],
        ['taats', 'W-23'],
        ['tuimel', 'W-21'],
        ['uitzet|klep', 'W-13'],
        ['val ?raam|kiep', 'W-17'],
        ['dubbele? (\pL+ )?raam|stolp', 'W-03'],
        ['driedelig|3 ?delig', 'W-05'],
        ['vierdelig|4 ?delig', 'W-11'],
        ['draai', 'W-02'],
        ['rond|patrijspoort', 'W-39'],
        ['vast|\pL*raam|beglazing', 'W-01'],
    ];

    private const ALL = [self::ENGLISH, self::GERMAN, self::FRENCH, self::SPANISH, self::ITALIAN, self::DUTCH];

    /** The mark of the ready type that plain words mean; null when they say none that is known. */
    public static function mark(string $plain): ?string
    {
        foreach ($plain === '' ? [] : self::ALL as $language) {
            foreach ($language as [$pattern, $mark]) {
                if (preg_match('/(?<![\pL\d])('.$pattern.')/u', $plain) === 1) {
                    return $mark;
                }
            }
        }

        return null;
    }
}
