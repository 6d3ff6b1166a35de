"""Water: its density and viscosity, and what it does to thin line."""
