<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/** The named layers of every drawing, in the order they are drawn. */
enum Layer: string
{
    case Face = 'wall-face';
    case Beyond = 'beyond';
    case Cut = 'wall-cut';
    case Void = 'opening';
    case Reveal = 'reveal';
    case Glass = 'glass';
    case Spandrel = 'spandrel';
    case Frame = 'frame';
    case Infill = 'infill';
    case Member = 'member';
    case Sash = 'sash';
    case Bar = 'bar';
    case Operation = 'operation';
    case Swing = 'swing';
    case Floor = 'floor';
    case Roof = 'roof';
    case Screen = 'screen';
    case Fin = 'fin';
    case Level = 'level';
    case Fold = 'fold';
    case Text = 'text';

    /** Line weight on paper, mm: outlines 0.5, members 0.25, panes and auxiliary lines 0.13 (steps of ISO 128). */
    public function weight(): float
    {
        return match ($this) {
            self::Face, self::Cut => 0.5,
            self::Void, self::Frame, self::Sash, self::Infill, self::Member, self::Spandrel, self::Fin, self::Floor, self::Screen,
            self::Roof => 0.25,
            default => 0.13,
        };
    }

    /** Fill in print; null for lines only. */
    public function fill(): ?string
    {
        return match ($this) {
            self::Face => '#f4f1ea',
            self::Cut => '#c9c4b8',
            self::Beyond => '#fbf9f3',
            self::Void => '#ffffff',
            self::Frame, self::Sash, self::Bar, self::Member => '#ffffff',
            self::Spandrel => '#d9d0bd',
            self::Infill => '#ece8dd',
            self::Glass => '#e3edec',
            self::Fin => '#b9c6c4',
            self::Floor => '#ffffff',
            self::Roof => '#dcd6ca',
            self::Screen => '#d3dcd9',
            default => null,
        };
    }
}
