<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Given;

use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\HeadingWords;
use Isleward\Core\Given\Kinds;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Reading;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Headings, kinds and storeys as they are written in five other languages: common practice, from memory. */
final class LanguagesTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<string>}> a table, what its columns state, and its kinds' ready types */
    public static function tables(): iterable
    {
        yield 'German' => [
            "Pos.-Nr.;Bezeichnung;Breite (cm);Höhe (cm);Brüstung;Anzahl;Geschoss\n;;cm;cm;cm;;\n"
                ."F 1;Dreh-Kipp-Fenster;120,0;145,0;90;2 Stk;EG\nT 1;Haustür, zweiflüglig;180;230;0;1;1. OG\nGesamt;;;;;3;\n",
            'mark|kind|width cm|height cm|sill cm|count|storey', ['W-19', 'D-04'],
        ];
        yield 'German, numbered' => [
            "Nr;Typ;Rohbaubreite;Rohbauhöhe;BRH;Stück;Etage\nF 1;Festverglasung;1200;1450;900;2;Erdgeschoss\nT 1;Stahltür;1800;2300;0;1;1. Obergeschoss\n",
            'mark|kind|width mm|height mm|sill mm|count|storey', ['W-01', 'D-08'],
        ];
        yield 'French' => [
            "Repère;Désignation;Largeur;Hauteur;Hauteur d'allège;Qté;Étage\n"
                ."F 1;Fenêtre à deux vantaux;1 200;1 450;900;2;RDC\nT 1;Porte coulissante;1 800;2 300;0;1;1er étage\n",
            'mark|kind|width mm|height mm|sill mm|count|storey', ['W-03', 'D-16'],
        ];
        yield 'Spanish' => [
            "Marca;Descripción;Ancho (m);Alto (m);Antepecho (m);Cantidad;Planta\n"
                ."F 1;Ventana oscilobatiente;1,20;1,45;0,90;2 uds;Planta baja\nT 1;Puerta ciega;1,80;2,30;0;1;Planta 1ª\n",
            'mark|kind|width m|height m|sill m|count|storey', ['W-19', 'D-08'],
        ];
        yield 'Italian' => [
            "Sigla;Tipologia;Larghezza;Altezza;Davanzale;Quantità;Piano\n"
                ."F 1;Finestra a vasistas;1200;1450;900;2;Piano terra\nT 1;Porta a due battenti;1800;2300;0;1;Primo piano\n",
            'mark|kind|width mm|height mm|sill mm|count|storey', ['W-17', 'D-04'],
        ];
        yield 'Dutch' => [
            "Merk;Omschrijving;Breedte;Hoogte;Borstwering;Aantal;Verdieping\n"
                ."F 1;Draaikiepraam;1200;1450;900;2;Begane grond\nT 1;Schuifpui;1800;2300;0;1;1e verdieping\nTotaal;;;;;3;\n",
            'mark|kind|width mm|height mm|sill mm|count|storey', ['W-19', 'D-16'],
        ];
    }

    /** @param  list<string>  $kinds */
    #[DataProvider('tables')]
    public function test_a_table_is_read_as_its_own_language_says(string $csv, string $states, array $kinds): void
    {
        $house = House::box(heights: [3600, 3600]);
        foreach (['Ground', 'First'] as $i => $name) {
            $house->do('storey.change', ['id' => $house->storey($i), 'name' => $name]);
        }
        $storeys = $house->design->storeys;
        $rows = CsvReader::read($csv, 'given')->rows;
        [$header, $columns] = Headings::find($rows, $storeys);
        self::assertSame($states, implode('|', array_map(static fn (Column $c): string => trim($c->role->value.' '.$c->unit), $columns)));
        $lines = Reading::of($rows, $header, $columns, $storeys)->lines;
        self::assertSame([], array_merge(...array_map(static fn (Line $l): array => $l->problems, $lines)));
        self::assertSame([['F 1', 1200.0, 1450.0, 900.0], ['T 1', 1800.0, 2300.0, 0.0]], array_map(
            static fn (Line $l): array => [$l->mark, $l->width, $l->height, $l->sill], $lines,
        ));
        $by = array_map(static fn (Line $l): array => $l->byStorey, $lines);
        self::assertSame([[$house->storey(0) => 2], [$house->storey(1) => 1]], $by);
        self::assertSame($kinds, array_map(static fn (Line $l): ?string => Kinds::like($l->kind), $lines));
    }

    /** @return iterable<string, array{string, int|null}> */
    public static function floors(): iterable
    {
        foreach ([
            'eg' => 0, 'rez de chaussée' => 0, 'planta baja' => 0, 'piano terra' => 0, 'begane grond' => 0, 'ground floor' => 0,
            'r 1' => 1, '2 og' => 2, '3ème étage' => 3, 'segunda planta' => 2, 'terzo piano' => 3, '4e verdieping' => 4, 'level 5' => 5,
            'l12' => 12, 'dach' => null, 'roof' => null, 'mezzanine' => null,
        ] as $text => $n) {
            yield $text => [$text, $n];
        }
    }

    #[DataProvider('floors')]
    public function test_storeys_are_counted_from_the_ground(string $plain, ?int $n): void
    {
        self::assertSame($n, HeadingWords::ordinal($plain));
    }

    /** "Nr" counts where another column marks, and marks where none does; a storey's own count is told in any language. */
    public function test_a_heading_of_two_meanings_has_the_one_that_is_left(): void
    {
        $storeys = House::box()->design->storeys;
        $of = static fn (string $row): array => array_map(
            static fn (Column $c): string => $c->role->value, Headings::columns([explode(';', $row)], 0, 4, $storeys),
        );
        self::assertSame(['mark', 'width', 'height', 'count'], $of('Mark;Width;Height;Nr'));
        self::assertSame(['mark', 'width', 'height', 'count'], $of('Nr;Breite;Höhe;Stück'));
        self::assertSame(['mark', 'width', 'height', 'on-storey'], $of('Merk;Breedte;Hoogte;Aantal S1'));
    }
}
