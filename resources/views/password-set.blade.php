{!! $person !!},

your password was changed {!! $how !!}, and all other sessions of yours were ended.

Was it not you? Ask whoever runs this installation for a new one at once, and tell the owner of your studio.
