<?php

declare(strict_types=1);

namespace Octavum\Core\Workroom;

/** Whose words are used: trousers or pants, zip or zipper. */
enum Dialect: string
{
    case British = 'British';
    case American = 'American';
}
