<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Models\Acceptance;
use App\Models\Band;
use App\Models\Field;
use App\Models\FloorBand;
use App\Models\GivenSchedule;
use App\Models\GridType;
use App\Models\Layout;
use App\Models\NamedSet;
use App\Models\Opening;
use App\Models\Outline;
use App\Models\Picture;
use App\Models\Project;
use App\Models\Roof;
use App\Models\Screen;
use App\Models\SectionLine;
use App\Models\SettingOutLine;
use App\Models\SheetPlan;
use App\Models\Storey;
use App\Models\Tracing;
use App\Models\UnitType;
use App\Models\Wall;
use Isleward\Core\Design\Kind;

/** Which model holds which kind. */
final class Tables
{
    /** @return class-string<HoldsElement&\Illuminate\Database\Eloquent\Model> */
    public static function model(Kind $kind): string
    {
        return match ($kind) {
            Kind::Settings => Project::class,
            Kind::Storey => Storey::class,
            Kind::Outline => Outline::class,
            Kind::Wall => Wall::class,
            Kind::Type => UnitType::class,
            Kind::Grid => GridType::class,
            Kind::Opening => Opening::class,
            Kind::Line => SettingOutLine::class,
            Kind::Band => Band::class,
            Kind::FloorBand => FloorBand::class,
            Kind::Roof => Roof::class,
            Kind::Field => Field::class,
            Kind::Screen => Screen::class,
            Kind::Set => NamedSet::class,
            Kind::Acceptance => Acceptance::class,
            Kind::Given => GivenSchedule::class,
            Kind::Layout => Layout::class,
            Kind::Section => SectionLine::class,
            Kind::Sheet => SheetPlan::class,
            Kind::Tracing => Tracing::class,
            Kind::Picture => Picture::class,
        };
    }
}
