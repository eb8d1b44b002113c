<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** Where battens leave what is over: shared by all gaps, or at the start, at the end, at both. */
enum LeftOver: string
{
    case Shared = 'shared';
    case Start = 'start';
    case End = 'end';
    case Both = 'both';
}
