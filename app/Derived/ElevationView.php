<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Abutment;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Drawing\Catches;
use Isleward\Core\Drawing\CatchKind;
use Isleward\Core\Drawing\CatchLine;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Unit\SolvedLight;

/**
 * What the desk shows of a frontage: its drawing, its openings with their rules and figures, its setting-out lines, lines to catch on,
 * findings.
 */
final readonly class ElevationView
{
    /** @param  array<string, Body>  $bodies */
    private function __construct(private Design $design, private array $bodies, private Frontage $frontage)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Acceptance>  $acceptances  of findings, in any of the frontage's walls
     * @return array<string, mixed>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage, array $acceptances): array
    {
        return (new self($design, $bodies, $frontage))->view($acceptances);
    }

    /**
     * @param  list<Acceptance>  $acceptances
     * @return array<string, mixed>
     */
    private function view(array $acceptances): array
    {
        $openings = $catches = $findings = $figures = $questions = $meets = [];
        foreach (array_keys($this->frontage->walls) as $wall) {
            $questions[$wall] = WallInQuestion::of($this->design, $this->bodies[$wall]);
        }
        $lines = $this->lines();
        foreach ($this->frontage->walls as $wall => $u) {
            $around = [];
            foreach ($questions as $other => $question) {
                foreach ($question->placed as $p) {
                    $around[] = [$p, $this->frontage->walls[$other] - $u];
                }
            }
            $meets[$wall] = array_map(
                fn (Abutment $a): array => [
                    'from' => $a->from, 'to' => $a->to, 'foot' => $a->foot, 'head' => $a->head, 'inside' => $a->inside,
                    'name' => $this->design->outlines[$a->wall->outline]->name ?? 'inner wall'], $questions[$wall]->abutments);
            $catches[$wall] = array_map(
                static fn (array $these): array => array_map(static fn (CatchLine $c): array => $c->toArray(), $these),
                Catches::of($this->design, $this->bodies[$wall], $around, self::catchable($lines, $u)),
            );
            foreach ($questions[$wall]->placed as $p) {
                $symbol = Symbols::key($p->opening);
                $unit = Symbols::solved($this->design, $p->opening);
                $figures[$symbol] ??= $unit === null ? null : [
                    'glass' => $unit->glassArea(),
                    'frameShare' => $unit->frameShare(),
                    'door' => $unit->hasDoor(),
                    'operations' => array_values(
                        array_unique(array_map(static fn (SolvedLight $l): string => $l->light->operation->value, $unit->lights)),
                    ),
                ];
                $openings[] = $this->opening($p, $symbol, $u);
            }
            foreach (Findings::of($this->design, $this->bodies[$wall]) as $finding) {
                $findings[] = self::finding($finding, $u, $acceptances);
            }
        }

        return [
            'frontage' => $this->frontage->id,
            'drawing' => Elevation::of($this->design, $this->bodies, $this->frontage)->toArray(),
            'openings' => $openings,
            'lines' => $lines,
            'figures' => $figures === [] ? (object) [] : $figures,
            'catches' => $catches,
            'meets' => $meets,
            'areas' => array_map(fn (WallInQuestion $q): array => FaceArea::of($this->design, $q->body)->toArray(), $questions),
            'findings' => $findings,
        ];
    }

    /** @return array<string, mixed> */
    private function opening(PlacedOpening $p, string $symbol, float $u): array
    {
        $body = $this->bodies[$p->opening->wall];
        $module = $this->design->settings->module;

        return [...$p->opening->toArray(), 'label' => $this->design->label($p->opening), 'symbol' => $symbol, 'u' => $u + $p->left,
            'left' => $p->left, 'fromLeft' => $p->left - $body->start(), 'fromRight' => $body->end() - $p->right, 'sillLevel' => $p->sill,
            'headLevel' => $p->head, 'area' => $p->area(),
            'coordinated' => $module === null ? null : [
                'width' => $module->opening($p->opening->width), 'height' => $module->height($p->opening->height),
                'fromLeft' => $module->pier($p->left - $body->start()), 'fromRight' => $module->pier($body->end() - $p->right)]];
    }

    /** @return list<array<string, mixed>> with where each stands: u, or levels, one a storey when it stands over every floor */
    private function lines(): array
    {
        $lines = [];
        foreach ($this->design->lines as $line) {
            if (! isset($this->frontage->walls[$line->wall])) {
                continue;
            }
            $upright = $line->axis === LineAxis::Upright;
            $lines[] = [...$line->toArray(),
                'u' => $upright ? $this->frontage->walls[$line->wall] + Places::in($this->design)->line($line) : null,
                'levels' => $upright ? [] : array_map(
                    static fn (array $l): array => ['storey' => $l[0], 'level' => $l[1]],
                    Places::in($this->design)->lineLevels($line),
                ),
                'hangs' => $this->hangs($line)];
        }

        return $lines;
    }

    /** How many openings and lines are placed straight from a line. */
    private function hangs(SettingOutLine $line): int
    {
        $count = 0;
        foreach ($this->design->openings as $opening) {
            $count += (int) ($opening->position->along->ref === $line->id || $opening->sill->ref === $line->id);
        }
        foreach ($this->design->lines as $other) {
            $count += (int) ($other->ref() === $line->id);
        }

        return $count;
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return array{upright: list<CatchLine>, level: list<CatchLine>} as seen from a wall whose left end is at $u
     */
    private static function catchable(array $lines, float $u): array
    {
        $upright = $level = [];
        foreach ($lines as $line) {
            if ($line['u'] !== null) {
                $upright[] = new CatchLine($line['u'] - $u, 'line '.$line['name'], CatchKind::Line, $line['id']);
            }
            foreach ($line['levels'] as $l) {
                $level[] = new CatchLine($l['level'], 'line '.$line['name'], CatchKind::Line, $line['id']);
            }
        }

        return ['upright' => $upright, 'level' => $level];
    }

    /**
     * A finding that was accepted stays accepted for as long as its figure does.
     *
     * @param  list<Acceptance>  $acceptances
     * @return array<string, mixed>
     */
    private static function finding(Finding $finding, float $u, array $acceptances): array
    {
        $accepted = null;
        foreach ($acceptances as $a) {
            if ($a->finding === $finding->key() && abs($a->figure - $finding->figure) <= Tolerance::LENGTH) {
                $accepted = ['id' => $a->id, 'note' => $a->note];
            }
        }

        return [...$finding->toArray(), 'at' => [$u + $finding->at[0], $finding->at[1]], 'accepted' => $accepted];
    }
}
