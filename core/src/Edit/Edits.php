<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Kinds;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Every edit there is, by the name it is asked for. What is kept under names has two each: "set.keep", "set.remove". */
final class Edits
{
    /** @var array<string, class-string<Edit>> */
    public const BY_NAME = [
        'settings.change' => SettingsChange::class,
        'storey.insert' => StoreyInsert::class,
        'storey.change' => StoreyChange::class,
        'storey.remove' => StoreyRemove::class,
        'outline.draw' => OutlineDraw::class,
        'outline.change' => OutlineChange::class,
        'outline.turn' => OutlineTurn::class,
        'outline.remove' => OutlineRemove::class,
        'wall.change' => WallChange::class,
        'wall.move' => WallMove::class,
        'wall.turn' => WallTurn::class,
        'wall.stack' => WallStack::class,
        'wall.bend' => WallBend::class,
        'wall.edge' => WallEdges::class,
        'outline.round' => OutlineRound::class,
        'outline.recess' => OutlineRecess::class,
        'line.add' => LineAdd::class,
        'line.across' => LineAcross::class,
        'line.change' => LineChange::class,
        'line.remove' => LineRemove::class,
        'opening.place' => OpeningPlace::class,
        'opening.change' => OpeningChange::class,
        'opening.change-each' => OpeningChangeEach::class,
        'opening.remove' => OpeningRemove::class,
        'opening.repeat' => OpeningRepeat::class,
        'opening.space' => OpeningSpace::class,
        'opening.copy' => OpeningCopy::class,
        'opening.stack' => OpeningStack::class,
        'opening.mirror' => OpeningMirror::class,
        'opening.align' => OpeningAlign::class,
        'opening.carry' => OpeningCarry::class,
        'opening.fill' => OpeningFill::class,
        'opening.empty' => OpeningEmpty::class,
        'type.add' => TypeAdd::class,
        'type.change' => TypeChange::class,
        'type.remove' => TypeRemove::class,
        'type.clear' => TypesClear::class,
        'type.import' => TypeImport::class,
        'grid.add' => GridAdd::class,
        'grid.change' => GridChange::class,
        'grid.remove' => GridRemove::class,
        'grid.own' => GridOwn::class,
        'curtain.set' => CurtainSet::class,
        'curtain.hand' => CurtainHand::class,
        'curtain.before' => CurtainBefore::class,
        'opening.curtain' => OpeningCurtain::class,
        'band.add' => BandAdd::class,
        'band.change' => BandChange::class,
        'band.remove' => BandRemove::class,
        'band.pin' => BandPin::class,
        'field.fill' => FieldFill::class,
        'field.change' => FieldFill::class,
        'field.copy' => FieldCopy::class,
        'field.remove' => FieldRemove::class,
        'layer.carry' => LayerCarry::class,
        'floor-band.add' => FloorBandAdd::class,
        'floor-band.change' => FloorBandAdd::class,
        'floor-band.remove' => FloorBandRemove::class,
        'roof.add' => RoofAdd::class,
        'roof.change' => RoofAdd::class,
        'roof.remove' => RoofRemove::class,
        'roof.light' => RooflightPlace::class,
        'roof.light-remove' => RooflightRemove::class,
        'screen.add' => ScreenAdd::class,
        'screen.change' => ScreenAdd::class,
        'screen.draw' => ScreenDraw::class,
        'screen.move' => ScreenMove::class,
        'screen.copy' => ScreenCopy::class,
        'screen.mirror' => ScreenMirror::class,
        'screen.space' => ScreenSpace::class,
        'screen.take-out' => ScreenTakeOut::class,
        'screen.remove' => ScreenRemove::class,
        'band.carry' => BandCarry::class,
        'band.draw' => BandDraw::class,
        'band.move' => BandMove::class,
        'band.copy' => BandCopy::class,
        'band.space' => BandSpace::class,
        'band.mirror' => BandMirror::class,
        'opening.own-type' => OpeningOwnType::class,
        'opening.from-marks' => OpeningFromMarks::class,
        'tracing.place' => TracingPlace::class,
        'opening.number' => OpeningNumber::class,
        'type.from-lines' => TypeFromLines::class,
        'finding.accept' => FindingAccept::class,
        'finding.reopen' => FindingReopen::class,
    ];

    /** @throws Refusal when there is no such edit or its arguments are not right */
    public static function make(string $name, Fields $args): Edit
    {
        $class = self::BY_NAME[$name] ?? null;
        if ($class !== null) {
            Arguments::require($name, $args);

            return $class::from($args);
        }
        [$kind, $verb] = [...explode('.', $name, 2), ''];
        if (! in_array($name, self::names(), true)) {
            throw Refusal::because(
                'edit.unknown',
                sprintf('There is no edit called “%s”.', mb_substr($name, 0, 60)),
                details: ['known' => self::names()],
            );
        }

        Arguments::require($name, $args);
        $args = new Fields(['kept' => $kind] + $args->all(), $args->units());

        return $verb === 'keep' ? Keep::from($args) : Forget::from($args);
    }

    /** @return list<string> */
    public static function names(): array
    {
        $names = array_keys(self::BY_NAME);
        foreach (Kinds::kept() as $kind) {
            array_push($names, "$kind->value.keep", "$kind->value.remove");
        }

        return $names;
    }
}
