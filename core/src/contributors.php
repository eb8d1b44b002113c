<?php

declare(strict_types=1);

use Isleward\Core\Building;
use Isleward\Core\Check;
use Isleward\Core\CurtainWall;
use Isleward\Core\Drawing;
use Isleward\Core\Layer;
use Isleward\Core\Roof;
use Isleward\Core\Scene;
use Isleward\Core\Schedule;

/* Who gives what to drawings, scenes, schedules and findings, in the order they come in. */
return [
    Building\Covers::class => [Roof\RoofCovers::class],
    Drawing\Contributor::class => [Drawing\WallsDrawn::class, Drawing\OpeningsDrawn::class, CurtainWall\CurtainDrawn::class,
        Drawing\SlabsDrawn::class, Layer\FloorsDrawn::class, Layer\ScreensDrawn::class,
        Layer\FieldsDrawn::class, Layer\BandsDrawn::class, Roof\RoofsDrawn::class],
    Scene\Contributor::class => [Scene\UnitParts::class, Scene\WallParts::class, CurtainWall\CurtainParts::class, Scene\SlabParts::class,
        Layer\FloorParts::class, Layer\ScreenParts::class, Layer\FieldParts::class, Layer\BandParts::class, Roof\RoofParts::class],
    Schedule\Contributor::class => [
        Schedule\OpeningSchedule::class, Schedule\TypeSchedule::class, Schedule\WallSchedule::class,
        CurtainWall\RunSchedule::class, CurtainWall\MemberSchedule::class, CurtainWall\InfillSchedule::class,
        CurtainWall\JointSchedule::class, CurtainWall\CuttingSchedule::class,
        Layer\FinSchedule::class, Layer\FinCutting::class, Layer\FloorSchedule::class, Layer\FieldSchedule::class,
        Layer\ScreenSchedule::class, Layer\CutOutSchedule::class,
        Roof\RoofSchedule::class, Roof\RoofLineSchedule::class, Roof\RooflightSchedule::class,
    ],
    Schedule\UnitSource::class => [CurtainWall\CellUnits::class, Layer\ScreenUnits::class, Roof\RooflightUnits::class],
    Check\Rule::class => [
        Check\Overlap::class, Check\PastEdge::class, Check\NearCorner::class, Check\AcrossWall::class, Check\AcrossFloor::class,
        Check\SwingStruck::class, Check\SillFromElsewhere::class, Check\FacingIn::class, Check\Floating::class, Check\NameAndSize::class,
        Check\OffLine::class, Check\LintelBearing::class, Check\BowedReveal::class, Check\UnitDoubts::class,
        CurtainWall\CurtainDoubts::class, Layer\BandDoubts::class, Layer\ScreenDoubts::class, Layer\SlabDoubts::class,
        Roof\RoofDoubts::class, Roof\RooflightDoubts::class,
    ],
];
