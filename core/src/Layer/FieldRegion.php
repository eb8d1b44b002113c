<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\Drawn;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\PartName;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What a field of battens fills, as it lies on its wall now: in the wall's (u, level), mm. */
final readonly class FieldRegion
{
    private function __construct(private Design $design, private Field $field)
    {
    }

    /** @throws Refusal when it is not there, or nothing that battens fill */
    public static function of(Design $design, Field $field): Contour
    {
        $wall = $design->walls[$field->wall] ?? null;
        if ($wall === null) {
            throw Refusal::because('field.no_wall', sprintf('The wall %s lay on is not there any more.', $field->name), [$field->id]);
        }
        if ($wall->isCurved()) {
            self::requireBent($field, $wall);
        }
        $self = new self($design, $field);

        return match (true) {
            $field->screen !== null && $field->cut !== null => $self->cutOut($field->screen, $field->cut),
            $field->screen !== null => $self->screen($field->screen),
            $field->opening !== null => $self->opening($field->opening, $wall),
            $field->cell !== null => $self->cellOf($wall),
            default => $self->drawn($wall),
        };
    }

    /** @throws Refusal when an arc holds no such battens */
    private static function requireBent(Field $field, Wall $wall): void
    {
        if (! $field->isUpright() && ! $field->isCutToShape()) {
            throw Refusal::because('field.bent', sprintf(
                'Before an arc battens of %s that do not stand upright are bent to it: flat ones can be that are not turned.', $field->name,
            ), [$field->id, $wall->id], ['field' => 'angle']);
        }
        $surface = $wall->surface();
        foreach ([$field->out, $field->out + max($field->deep, $field->frameDeep)] as $out) {
            if ($surface->lengthAt(0.0, 1.0, -$out) < 0.05) {
                throw Refusal::because('field.past_centre', sprintf(
                    '%s would reach to the middle of its arc, which is %s from the wall.', $field->name,
                    Length::mark(abs($surface->radius())),
                ), [$field->id, $wall->id], ['field' => 'out']);
            }
        }
    }

    private function cutOut(string $id, int $cut): Contour
    {
        $screens = Screens::in($this->design);
        $screen = $this->design->layers[$id] ?? null;
        $contours = $screen instanceof Screen ? $screens->find($screen)->faces[$this->field->wall]->cuts[$cut] ?? null : null;

        return $contours[0] ?? throw Refusal::because(
            'field.no_cut', sprintf('The cut-out %s filled is not there any more.', $this->field->name), [$this->field->id],
        );
    }

    /** What is seen of a screen before the wall; over its cut-outs battens run on. */
    private function screen(string $id): Contour
    {
        $screen = $this->design->layers[$id] ?? null;
        $region = $screen instanceof Screen ? Screens::in($this->design)->find($screen)->faces[$this->field->wall]->region ?? [] : [];
        if (count($region) > 1) {
            throw Refusal::because('field.pieces', sprintf(
                '%s lies over a screen that is in %d pieces before this wall: fill regions that are drawn, one for each.',
                $this->field->name, count($region),
            ), [$this->field->id]);
        }

        return $region[0]->outer ?? throw Refusal::because(
            'field.no_screen', sprintf('The screen %s lay over is not there any more.', $this->field->name), [$this->field->id],
        );
    }

    private function opening(string $id, Wall $wall): Contour
    {
        $opening = $this->design->openings[$id] ?? null;
        if ($opening === null || $opening->host !== $wall->id) {
            throw Refusal::because('field.no_opening', sprintf('The opening %s filled is not there any more.', $this->field->name),
                [$this->field->id]);
        }
        $placed = Places::in($this->design)->of($opening);

        return $this->field->cell !== null
            ? $this->cellIn($placed)
            : $placed->outline?->shifted($placed->left, $placed->sill)
                ?? Contour::rectangle($placed->left, $placed->sill, $placed->right, $placed->head);
    }

    private function cellIn(PlacedOpening $placed): Contour
    {
        $run = $placed->opening->curtain === null ? null : LetIn::find($this->design, $placed);
        $seen = $run === null ? null : $this->cell($run->stretches[0]->drawn(), null);
        $seen ??= throw $this->noCell();
        $width = $placed->opening->width;

        return ($placed->opening->facesOut ? $seen : $seen->mirrored($width))->shifted($placed->middle() - $width / 2, $placed->sill);
    }

    private function cellOf(Wall $wall): Contour
    {
        $standing = $wall->curtain === null ? null : Runs::in($this->design)->find($wall->id);
        if ($standing === null) {
            throw $this->noCell();
        }
        $index = $standing->indexOf($wall->id);
        if (abs($standing->path->stretches[$index]->lean) > 1e-9) {
            throw Refusal::because('field.leaning', sprintf('%s needs an upright stretch: this one leans.', $this->field->name),
                [$this->field->id]);
        }
        foreach ($standing->partsOf($index) as $part) {
            $seen = $this->cell($part->stretch->drawn(), $part->line);
            if ($seen !== null && $part->line !== null) {
                throw Refusal::because('field.facet', sprintf(
                    '%s cannot fill a facet of an arc: its battens lie round the arc itself.', $this->field->name,
                ), [$this->field->id]);
            }
            if ($seen !== null) {
                return $seen->shifted($standing->starts[$index] + $part->u, $standing->foot);
            }
        }
        throw $this->noCell();
    }

    private function cell(Drawn $drawn, ?string $facet): ?Contour
    {
        foreach ($drawn->cells as [$cell, $seen]) {
            if (PartName::cell($cell, $facet) === $this->field->cell) {
                return $seen;
            }
        }

        return null;
    }

    private function noCell(): Refusal
    {
        return Refusal::because('field.no_cell', sprintf('The cell %s filled is not there any more.', $this->field->name),
            [$this->field->id]);
    }

    private function drawn(Wall $wall): Contour
    {
        $field = $this->field;
        $floor = $this->design->storeys->floor($field->storey);
        $region = Contour::polygon(array_merge(...array_map(static fn (array $p): array => [$p[0], $floor + $p[1]], $field->region)));
        $body = Bodies::one($this->design, $wall);
        [$x0, $y0, $x1, $y1] = $region->bounds();
        if ($x0 < -0.01 || $x1 > $body->length + 0.01 || $y0 < $body->foot - 0.01 || $y1 > $body->head + 0.01) {
            throw Refusal::because('field.off_wall', sprintf(
                'The region of %s reaches %s off its wall.', $field->name,
                Length::mark(max(-$x0, $x1 - $body->length, $body->foot - $y0, $y1 - $body->head)),
            ), [$field->id, $wall->id]);
        }

        return $region;
    }
}
