<?php

declare(strict_types=1);

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Descriptor;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\NamedSet;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\Picture;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\Storey;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Design\Wall;
use Isleward\Core\Given\GivenSchedule;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Sheet\SheetPlan;

/* Every kind of element, described once: its word, what its ids begin with, its class, whether the building's standing depends on it. */
return [
    new Descriptor(Kind::Settings, 'settings', 'pr', Settings::class),
    new Descriptor(Kind::Storey, 'storey', 'st', Storey::class, bearing: true),
    new Descriptor(Kind::Outline, 'outline', 'ou', Outline::class, bearing: true),
    new Descriptor(Kind::Wall, 'wall', 'wa', Wall::class, bearing: true),
    new Descriptor(Kind::Type, 'unit type', 'ty', UnitType::class, bearing: true),
    new Descriptor(Kind::Grid, 'grid type', 'gt', GridType::class, bearing: true),
    new Descriptor(Kind::Opening, 'opening', 'op', Opening::class),
    new Descriptor(Kind::Line, 'setting-out line', 'li', SettingOutLine::class, bearing: true),
    new Descriptor(Kind::Band, 'band', 'ba', Band::class, bearing: true),
    new Descriptor(Kind::FloorBand, 'floor band', 'fb', FloorBand::class, bearing: true),
    new Descriptor(Kind::Field, 'field', 'fl', Field::class, bearing: true),
    new Descriptor(Kind::Screen, 'screen', 'sn', Screen::class, bearing: true),
    new Descriptor(Kind::Roof, 'roof', 'rf', Roof::class, bearing: true),
    new Descriptor(Kind::Set, 'set', 'se', NamedSet::class),
    new Descriptor(Kind::Acceptance, 'accepted finding', 'ac', Acceptance::class),
    new Descriptor(Kind::Given, 'given schedule', 'gi', GivenSchedule::class),
    new Descriptor(Kind::Layout, 'layout', 'la', Layout::class),
    new Descriptor(Kind::Section, 'section', 'sl', SectionLine::class),
    new Descriptor(Kind::Sheet, 'sheet', 'sh', SheetPlan::class),
    new Descriptor(Kind::Tracing, 'tracing', 'tr', Tracing::class),
    new Descriptor(Kind::Picture, 'picture', 'pi', Picture::class),
];
