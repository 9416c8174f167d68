<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

enum PlaceKind: string
{
    case Vessel = 'vessel';
    case Stage = 'stage';
    case Pump = 'pump';
    case Junction = 'junction';
    case Outside = 'outside';
}
