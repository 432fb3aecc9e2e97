import 'package:flutter/material.dart';
import 'pier_colors.dart';

/// A sheet that holds other things.
class PierSheet extends StatelessWidget {
  const PierSheet({super.key, required this.children});

  final List<Widget> children;

  @override
  Widget build(BuildContext context) {
    return Container(
      color: PierColors.sheet,
      child: Column(children: children),
    );
  }
}
