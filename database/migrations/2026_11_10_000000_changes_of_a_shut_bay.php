<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A bay that is shut off is a body of water of its own, and is changed by itself. Protects: only bays that are known.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('ALTER TABLE changes ADD COLUMN vessel_id char(26) REFERENCES vessels (id);');
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE changes DROP COLUMN vessel_id;');
    }
};
