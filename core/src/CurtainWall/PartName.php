<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\HostPart;

/** How cells and members of a curtain wall are named within it, as {@see HostPart} has them. */
final class PartName
{
    /** @param  string|null  $facet  of an arc in facets the line that the facet begins at */
    public static function cell(GridCell $cell, ?string $facet = null): string
    {
        return HostPart::cell($facet ?? $cell->left, $cell->foot);
    }

    /** Null for what stands at a corner, free ones, and members of facets, which hang on their stretch. */
    public static function member(RunMember|GridMember $member, ?string $facet = null): ?string
    {
        $of = $member instanceof RunMember ? $member->of : $member;

        return $of === null || $facet !== null ? null : HostPart::member($of->role->isUpright(), $of->line, $of->from);
    }
}
