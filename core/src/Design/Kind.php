<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;

/** The kinds of thing a user puts in. */
enum Kind: string
{
    case Settings = 'settings';
    case Storey = 'storey';
    case Outline = 'outline';
    case Wall = 'wall';
    case Type = 'type';
    case Opening = 'opening';
    case Line = 'line';
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
        return match ($this) {
            self::Settings => Settings::from($fields),
            self::Storey => Storey::from($fields),
            self::Outline => Outline::from($fields),
            self::Wall => Wall::from($fields),
            self::Type => UnitType::from($fields),
            self::Opening => Opening::from($fields),
            self::Line => SettingOutLine::from($fields),
            self::Set => NamedSet::from($fields),
            self::Acceptance => Acceptance::from($fields),
            self::Given => GivenSchedule::from($fields),
            self::Layout => Layout::from($fields),
            self::Section => SectionLine::from($fields),
            self::Sheet => SheetPlan::from($fields),
            self::Tracing => Tracing::from($fields),
            self::Picture => Picture::from($fields),
        };
    }

    /** What ids of this kind begin with. */
    public function prefix(): string
    {
        return match ($this) {
            self::Settings => 'pr',
            self::Storey => 'st',
            self::Outline => 'ou',
            self::Wall => 'wa',
            self::Type => 'ty',
            self::Opening => 'op',
            self::Line => 'li',
            self::Set => 'se',
            self::Acceptance => 'ac',
            self::Given => 'gi',
            self::Layout => 'la',
            self::Section => 'sl',
            self::Sheet => 'sh',
            self::Tracing => 'tr',
            self::Picture => 'pi',
        };
    }

    /**
     * What is kept under a name beside the building, with what people call it.
     *
     * @return array<string, string> by value
     */
    public static function kept(): array
    {
        return [self::Set->value => 'set', self::Given->value => 'given schedule', self::Layout->value => 'layout', self::Section->value => 'section', self::Sheet->value => 'sheet', self::Tracing->value => 'tracing', self::Picture->value => 'picture'];
    }
}
