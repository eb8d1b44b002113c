<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** The kinds of thing a user puts in, by name; all else about them is said by their {@see Descriptor}. */
enum Kind: string
{
    case Settings = 'settings';
    case Storey = 'storey';
    case Outline = 'outline';
    case Wall = 'wall';
    case Type = 'type';
    case Grid = 'grid';
    case Opening = 'opening';
    case Line = 'line';
    case Band = 'band';
    case FloorBand = 'floor-band';
    case Field = 'field';
    case Screen = 'screen';
    case Roof = 'roof';
    case Set = 'set';
    case Acceptance = 'acceptance';
    case Given = 'given';
    case Layout = 'layout';
    case Section = 'section';
    case Sheet = 'sheet';
    case Tracing = 'tracing';
    case Picture = 'picture';

    /** Makes an element of this kind from its stored values. */
    public function make(Fields $fields): Element
    {
        return Kinds::of($this)->class::from($fields);
    }

    /** What people call one of this kind. */
    public function word(): string
    {
        return Kinds::of($this)->word;
    }

    /** The id of one of this kind, that no other has which ends so. */
    public function id(string $rest): string
    {
        return Kinds::of($this)->prefix.'-'.$rest;
    }

    /** Whether this is the id of one of this kind. */
    public function isOf(string $id): bool
    {
        return str_starts_with($id, Kinds::of($this)->prefix.'-');
    }
}
