<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What befell a filter is told as what was done: hours and share of the media beside it, and a band around what it
 * cost.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE setbacks DROP CONSTRAINT setbacks_kind_check;
            ALTER TABLE setbacks ALTER COLUMN kind TYPE varchar(20);
            UPDATE setbacks SET kind = CASE kind
                WHEN 'wash' THEN 'hosed' WHEN 'stop' THEN 'stood_closed' WHEN 'new_media' THEN 'replaced' ELSE kind END;
            ALTER TABLE setbacks ADD CONSTRAINT setbacks_kind_check CHECK (kind IN ('swished', 'hosed',
                'hosed_chlorinated', 'replaced', 'dried', 'stood_closed', 'stood_open', 'medicine'));
            ALTER TABLE setbacks
                ADD COLUMN hours     double precision CHECK (hours BETWEEN 0 AND 8784),
                ADD COLUMN share_pct double precision NOT NULL DEFAULT 100 CHECK (share_pct BETWEEN 0 AND 100),
                ADD COLUMN low_pct   double precision CHECK (low_pct BETWEEN 0 AND 100),
                ADD COLUMN high_pct  double precision CHECK (high_pct BETWEEN 0 AND 100);
            UPDATE setbacks SET low_pct = lost_pct, high_pct = lost_pct;
            ALTER TABLE setbacks ALTER COLUMN low_pct SET NOT NULL, ALTER COLUMN high_pct SET NOT NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE setbacks DROP CONSTRAINT setbacks_kind_check;
            ALTER TABLE setbacks DROP COLUMN hours, DROP COLUMN share_pct, DROP COLUMN low_pct, DROP COLUMN high_pct;
            UPDATE setbacks SET kind = CASE kind
                WHEN 'replaced' THEN 'new_media' WHEN 'medicine' THEN 'medicine'
                WHEN 'swished' THEN 'wash' WHEN 'hosed' THEN 'wash' WHEN 'hosed_chlorinated' THEN 'wash'
                ELSE 'stop' END;
            ALTER TABLE setbacks ALTER COLUMN kind TYPE varchar(10);
            ALTER TABLE setbacks ADD CONSTRAINT setbacks_kind_check
                CHECK (kind IN ('wash', 'stop', 'medicine', 'new_media'));
            SQL
            ,
        );
    }
};
