import 'package:flutter/material.dart';
import 'pier_colors.dart';

enum PierWeight { heavy, light }

/// Anything a person presses.
class PierButton extends StatelessWidget {
  const PierButton({
    super.key,
    this.weight = PierWeight.heavy,
    this.onPressed,
    required this.child,
  });

  final PierWeight weight;
  final VoidCallback? onPressed;
  final Widget child;

  @override
  Widget build(BuildContext context) {
    return InkWell(
      onTap: onPressed,
      child: Container(
        padding: const EdgeInsets.all(PierColors.gap),
        color: PierColors.weed,
        child: child,
      ),
    );
  }
}
