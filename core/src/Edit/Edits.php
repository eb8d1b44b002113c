<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/** Every edit there is, by the name it is asked for. */
final class Edits
{
    /** @var array<string, class-string<Edit>> */
    public const BY_NAME = [
        'settings.change' => SettingsChange::class,
        'storey.insert' => StoreyInsert::class,
        'storey.change' => StoreyChange::class,
        'storey.remove' => StoreyRemove::class,
        'outline.draw' => OutlineDraw::class,
        'outline.turn' => OutlineTurn::class,
        'outline.remove' => OutlineRemove::class,
        'wall.change' => WallChange::class,
        'wall.move' => WallMove::class,
        'wall.turn' => WallTurn::class,
        'wall.stack' => WallStack::class,
        'outline.recess' => OutlineRecess::class,
        'line.add' => LineAdd::class,
        'line.across' => LineAcross::class,
        'line.change' => LineChange::class,
        'line.remove' => LineRemove::class,
        'opening.place' => OpeningPlace::class,
        'opening.change' => OpeningChange::class,
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
        'type.import' => TypeImport::class,
        'opening.own-type' => OpeningOwnType::class,
        'set.keep' => SetKeep::class,
        'set.remove' => SetRemove::class,
        'finding.accept' => FindingAccept::class,
        'finding.reopen' => FindingReopen::class,
    ];

    /** @throws Refusal when there is no such edit or its arguments are not right */
    public static function make(string $name, Fields $args): Edit
    {
        $class = self::BY_NAME[$name] ?? throw Refusal::because('edit.unknown', sprintf('There is no edit called “%s”.', mb_substr($name, 0, 60)), details: ['known' => array_keys(self::BY_NAME)]);

        return $class::from($args);
    }
}
